import type { Issue } from '../core/issues';
import type { LogEntry } from '../core/log/entry';
import type { Entry } from '../records/entry';
import type { NewEntry, Store } from '../store/store';
import { storeError } from '../store/storeError';
import type { Clock } from './clock';
import type { Journal } from './journal';

/** What may succeed when it is tried again: room is made, the browser recovers. */
const PASSING: ReadonlySet<Issue['code']> = new Set(['STORE_FULL', 'STORE_FAILED', 'STORE_CLOSED']);
const AGAIN_MS = 4000;

/** How the outbox stands: what keeps it from going on, and how many acts wait. */
export interface OutboxState {
  readonly why: Issue | null;
  readonly count: number;
}

interface Item {
  readonly pieceId: string;
  readonly run: () => Promise<unknown>;
  /** Takes its note away. */
  readonly settled: () => void;
  readonly done: (refused: Issue | null) => void;
}

/**
 * Acts on their way into the log, one after the other. One that cannot be kept for want of room waits, is said to wait, and is tried
 * again; it is never said to be kept before it is.
 */
export const makeOutbox = ({
  store,
  journal,
  clock,
}: {
  readonly store: Store;
  readonly journal: Journal;
  readonly clock: Clock;
}) => {
  let items: readonly Item[] = [];
  let waiting: OutboxState = { why: null, count: 0 };
  let isSending = false;
  let endWaiting: (() => void) | null = null;
  const listeners = new Set<() => void>();

  const stand = (why: Issue | null): void => {
    const count = why ? items.length : 0;
    if (waiting.why === why && waiting.count === count) return;
    waiting = { why, count };
    for (const l of listeners) l();
  };
  const drop = (item: Item, refused: Issue | null): void => {
    items = items.filter(i => i !== item);
    item.settled();
    item.done(refused);
  };
  const drain = async (): Promise<void> => {
    if (isSending) return;
    isSending = true;
    for (let [item] = items; item; [item] = items) {
      try {
        await item.run();
        drop(item, null);
      } catch (error) {
        const { issue } = storeError(error);
        if (PASSING.has(issue.code)) {
          isSending = false;
          endWaiting ??= clock.every(AGAIN_MS, () => void drain());
          return stand(issue);
        }
        drop(item, issue);
      }
    }
    isSending = false;
    endWaiting?.();
    endWaiting = null;
    stand(null);
  };
  const put = (item: Omit<Item, 'done'>): Promise<Issue | null> =>
    new Promise(done => {
      items = [...items, { ...item, done }];
      if (waiting.why) stand(waiting.why);
      void drain();
    });

  return {
    /** Sends an act; settles when it is durable, or refused for good. It is noted at once. */
    send: (entry: NewEntry): Promise<Issue | null> =>
      put({
        pieceId: entry.pieceId,
        settled: journal.noteEntry(entry),
        run: () => store.append(entry),
      }),
    /**
     * Takes back what is last in the log when its turn comes. Two presses take back two entries, in one tab or in two.
     * @param which the entry to take back, by the log as it stands  @param shown the log as the screen has it
     */
    sendUndo: (
      entry: Omit<NewEntry, 'act'>,
      which: (log: readonly Entry[]) => LogEntry | null,
      shown: readonly Entry[],
    ): Promise<Issue | null> => {
      const of = (target: LogEntry): NewEntry => ({ ...entry, act: { kind: 'undo', of: target.id } });
      const expected = which(shown);
      let settled = expected ? journal.noteEntry(of(expected)) : () => undefined;
      let noted = expected?.id;
      return put({
        pieceId: entry.pieceId,
        settled: () => settled(),
        run: () =>
          store.appendBy(entry.pieceId, log => {
            const target = which(log);
            if (target && target.id !== noted) {
              settled();
              settled = journal.noteEntry(of(target));
              noted = target.id;
            }
            return target && of(target);
          }),
      });
    },
    /** Takes back the last act of a piece that still waits; false where none does. */
    takeBackWaiting: (pieceId: string): boolean => {
      const last = waiting.why ? items.findLast(i => i.pieceId === pieceId) : undefined;
      if (!last) return false;
      drop(last, null);
      stand(items.length > 0 ? waiting.why : null);
      return true;
    },
    tryAgain: (): void => void drain(),
    waiting: (): OutboxState => waiting,
    subscribe: (l: () => void) => {
      listeners.add(l);
      return () => void listeners.delete(l);
    },
  };
};

export type Outbox = ReturnType<typeof makeOutbox>;
