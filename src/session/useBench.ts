import { useCallback, useRef } from 'react';
import type { Act } from '../core/log/entry';
import { benchLog } from '../core/log/logParts';
import { nextRedo, nextUndo } from '../core/log/standing';
import type { Entry } from '../records/entry';
import type { NewEntry } from '../store/store';
import { newId, nowIso } from './clock';
import { noteEntryAhead } from './journal';
import { useNotify } from './notices';
import { useStore } from './storeContext';

export interface Bench {
  /** Settles when the entry is durable. */
  readonly log: (act: Act) => Promise<void>;
  readonly undo: (() => Promise<void>) | null;
  readonly redo: (() => Promise<void>) | null;
  readonly undoes: Entry | null;
  /** Takes any one entry back; what was done since stays. */
  readonly takeBack: (entryId: string) => Promise<void>;
}

/**
 * Writing to the log of a piece. Undo and redo are entries too. Each press waits for the one before it and looks at the
 * stored log, so that two quick presses undo two entries.
 */
export const useBench = (pieceId: string, entries: readonly Entry[]): Bench => {
  const store = useStore();
  const { failed } = useNotify();
  const last = useRef<Promise<void>>(Promise.resolve());
  const inTurn = useCallback(
    (work: () => Promise<unknown>): Promise<void> => {
      last.current = last.current.then(work).then(
        () => undefined,
        error => failed(error),
      );
      return last.current;
    },
    [failed],
  );
  /** Notes an act at the press; gives what puts it into the log when its turn comes. */
  const noted = useCallback(
    (act: Act) => {
      const entry: NewEntry = { id: newId(), pieceId, at: nowIso(), act };
      const settled = noteEntryAhead(entry);
      // Where it fails the felter is told, and presses again: the note must not come back at the next start.
      return () => store.append(entry).finally(settled);
    },
    [store, pieceId],
  );
  const log = useCallback((act: Act) => inTurn(noted(act)), [inTurn, noted]);
  const takeBackLast = (which: (log: readonly Entry[]) => { readonly id: string } | null): Promise<void> =>
    inTurn(async () => {
      const target = which(benchLog(await store.entries(pieceId)));
      if (target) await noted({ kind: 'undo', of: target.id })();
    });
  const undoable = nextUndo(entries);
  return {
    log,
    undo: undoable && (() => takeBackLast(nextUndo)),
    redo: nextRedo(entries) && (() => takeBackLast(nextRedo)),
    takeBack: entryId => log({ kind: 'undo', of: entryId }),
    undoes: entries.find(e => e.id === undoable?.id) ?? null,
  };
};
