import { useCallback } from 'react';
import type { Act } from '../core/cycles/entry';
import { nextRedo, nextUndo } from '../core/cycles/standing';
import type { Entry } from '../records/entry';
import { newId, nowIso } from './clock';
import { useNotify } from './notices';
import { useStore } from './storeContext';

export interface Bench {
  /** Settles when the entry is durable. */
  readonly log: (act: Act) => Promise<void>;
  readonly undo: (() => Promise<void>) | null;
  readonly redo: (() => Promise<void>) | null;
  readonly undoes: Entry | null;
}

/** Writing to the log of a piece. Undo and redo are entries too. */
export const useBench = (pieceId: string, entries: readonly Entry[]): Bench => {
  const store = useStore();
  const { failed } = useNotify();
  const log = useCallback(
    (act: Act) =>
      store.append({ id: newId(), pieceId, at: nowIso(), act }).then(
        () => undefined,
        error => failed(error),
      ),
    [store, pieceId, failed],
  );
  const last = nextUndo(entries);
  const back = nextRedo(entries);
  return {
    log,
    undo: last && (() => log({ kind: 'undo', of: last.id })),
    redo: back && (() => log({ kind: 'undo', of: back.id })),
    undoes: entries.find(e => e.id === last?.id) ?? null,
  };
};
