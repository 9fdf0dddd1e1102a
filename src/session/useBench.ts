import { useCallback, useSyncExternalStore } from 'react';
import type { Act } from '../core/acts/act';
import { issueText } from '../words/issues';
import { benchLog } from '../core/log/logParts';
import { nextRedo, nextUndo } from '../core/log/entriesInForce';
import type { Entry } from '../records/entry';
import { useNotify } from './notices';
import type { OutboxState } from './outbox';
import { useWorkshop } from './workshop';

export interface Bench {
  /** Settles when the entry is durable, or refused for good; a refusal is told. */
  readonly log: (act: Act) => Promise<void>;
  readonly undo: (() => Promise<void>) | null;
  readonly redo: (() => Promise<void>) | null;
  readonly undoes: Entry | null;
  /** Takes any one entry back; what was done since stays. */
  readonly takeBack: (entryId: string) => Promise<void>;
}

/** What waits for room. */
export const useWaiting = (): OutboxState => {
  const { outbox } = useWorkshop();
  return useSyncExternalStore(outbox.subscribe, outbox.waiting);
};

/** Writing to the log of a piece. Undo and redo are entries too. @param entries the log of the bench as it is shown */
export const useBench = (pieceId: string, entries: readonly Entry[]): Bench => {
  const { outbox, chance, nowIso } = useWorkshop();
  const { tell } = useNotify();
  const told = useCallback(
    async (sent: ReturnType<typeof outbox.send>): Promise<void> => {
      const refused = await sent;
      if (refused) tell({ text: issueText(refused) });
    },
    [tell],
  );
  const log = useCallback(
    (act: Act) => told(outbox.send({ id: chance.newId(), pieceId, at: nowIso(), act })),
    [outbox, chance, nowIso, pieceId, told],
  );
  const takeBackLast = (which: typeof nextUndo): Promise<void> =>
    told(
      outbox.sendUndo({ id: chance.newId(), pieceId, at: nowIso() }, all => which(benchLog(all)), entries),
    );
  const takeBack = useCallback((entryId: string) => log({ kind: 'undo', of: entryId }), [log]);
  const undoable = nextUndo(entries);
  const waits = useWaiting().count > 0;
  const undo = async (): Promise<void> => {
    if (!outbox.takeBackWaiting(pieceId)) await takeBackLast(nextUndo);
  };
  return {
    log,
    undo: undoable || waits ? undo : null,
    redo: nextRedo(entries) && (() => takeBackLast(nextRedo)),
    takeBack,
    undoes: entries.find(e => e.id === undoable?.id) ?? null,
  };
};
