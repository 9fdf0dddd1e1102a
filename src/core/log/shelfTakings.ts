import type { ShelfTaking } from '../wool/shelfLedger';
import type { LogEntry } from './entry';
import { weighings, woolAdded } from './logParts';

/** Wool taken off the shelf for one piece. */
export interface PieceTaking extends ShelfTaking {
  readonly pieceId: string;
}

/**
 * What the logs took off the shelf.
 * @param entries of all pieces  @param of.abandoned pieces that were deleted before they were finished: their wool is on the
 * shelf again  @param of.msOf a stored time in ms since 1970
 */
export const takingsOf = (
  entries: ReadonlyArray<LogEntry & { readonly pieceId: string }>,
  of: { readonly abandoned: ReadonlySet<string>; readonly msOf: (at: string) => number },
): readonly PieceTaking[] => {
  const logs = new Map<string, LogEntry[]>();
  for (const e of entries) {
    if (of.abandoned.has(e.pieceId)) continue;
    const log = logs.get(e.pieceId);
    if (log) log.push(e);
    else logs.set(e.pieceId, [e]);
  }
  return [...logs].flatMap(([pieceId, log]) =>
    [...weighings(log), ...woolAdded(log)].map(({ act, at }) => ({
      woolId: act.woolId,
      pieceId,
      grams: act.grams,
      atMs: of.msOf(at),
    })),
  );
};

/** How much of a wool was weighed for a piece, g. */
export const gramsWeighed = (
  takings: readonly PieceTaking[],
  of: { readonly woolId: string; readonly pieceId: string },
): number =>
  takings.reduce((sum, t) => (t.woolId === of.woolId && t.pieceId === of.pieceId ? sum + t.grams : sum), 0);
