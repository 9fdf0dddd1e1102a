import { createContext, useContext } from 'react';
import { type Act, amountOf, controlOf } from '../core/acts/act';
import { USUAL_PACE } from '../core/log/counting';
import type { Prior } from '../core/felting/feltingModel';
import type { Hidden } from '../core/rehearsal/hidden';
import { WHOLE_LAYING } from '../core/wool/layProgress';
import { type Entry, ENTRY_VERSION } from '../records/entry';
import { type Piece, pieceAgain, pieceKind } from '../records/piece';
import { swatchKind } from '../records/swatch';
import { woolKind } from '../records/wool';
import { NO_BATCH } from '../store/batch';
import { memoryStore } from '../store/makeStore';
import { isoTime } from './clock';
import { memoryNotes } from './notes';
import { makeRehearsalClock, type RehearsalClock } from './rehearsalClock';
import { makeWorkshop, type Workers, type Workshop } from './workshop';

/** A piece to practise on: a workshop of its own in memory, with a clock of its own, and a felt that nobody knows. */
export interface Rehearsal {
  readonly workshop: Workshop;
  readonly clock: RehearsalClock;
  readonly hidden: Hidden;
  /** The piece it was made of. */
  readonly of: Piece;
  /** The first try; others are begun from it. */
  readonly firstId: string;
  readonly close: () => void;
}

/** What another act takes of hands, min. Common practice. */
const MOMENT_MIN = 0.5;
const MINUTE_MS = 60_000;

/** How long hands take for an act, ms. @param perMinute rolls, rubs or throws a minute */
const actMs = (act: Act, perMinute: number): number => {
  const amount = amountOf(act);
  if (!amount) return MOMENT_MIN * MINUTE_MS;
  const isMinutes = controlOf(act.kind)?.unit === 'min';
  return (isMinutes ? amount.count : amount.count / perMinute) * MINUTE_MS;
};

/** The workers of the workshop it comes from: they know nothing of either, and go on when the rehearsal is over. */
const lent = (workers: Workers): Workers => {
  const one = ({ run }: Workers['long']): Workers['long'] => ({ run, stop: () => undefined });
  return { long: one(workers.long), bench: one(workers.bench), quiet: one(workers.quiet) };
};

const laidEntry = (pieceId: string, of: { readonly id: string; readonly at: string }): Entry => ({
  kind: 'entry',
  version: ENTRY_VERSION,
  pieceId,
  seq: 1,
  ...of,
  act: { kind: 'lay', step: WHOLE_LAYING, how: 'done' },
});

/**
 * Begins a rehearsal. All that the bench reads goes along as a copy: wools, swatches, settings, and the pieces from which this one is expected to
 * shrink so. Nothing of it comes back.
 * @param of.belief what the felt is drawn from  @param of.asked ids of the pieces that said so
 */
export const makeRehearsal = async (
  from: Workshop,
  of: {
    readonly piece: Piece;
    readonly belief: Prior;
    readonly asked: readonly string[];
    readonly seed: number;
  },
): Promise<Rehearsal> => {
  const { piece, belief, asked, seed } = of;
  const clock = makeRehearsalClock(from.clock);
  const nowIso = (): string => isoTime(clock.nowMs());
  const store = memoryStore(nowIso);
  const [wools, swatches, settings, pieces, logs] = await Promise.all([
    from.store.all(woolKind),
    from.store.all(swatchKind),
    from.store.settings(),
    Promise.all(asked.map(id => from.store.get(pieceKind, id))),
    Promise.all(asked.map(id => from.store.entries(id))),
  ]);
  const firstId = from.chance.newId();
  const own = pieceAgain(piece, { id: firstId, name: piece.name, now: nowIso() });
  const first = { ...own, plan: { ...own.plan, pieces: 1 }, recipe: null, after: null };
  const teachers = pieces.filter(p => p !== null);
  await store.transact(() => ({
    batch: {
      ...NO_BATCH,
      put: [...wools, ...swatches, ...teachers, first],
      entries: [...logs.flat(), laidEntry(firstId, { id: from.chance.newId(), at: nowIso() })],
    },
    result: null,
  }));
  await store.updateSettings(() => ({ ...settings, sampleOffered: true }));
  const workshop = makeWorkshop({
    store,
    clock,
    chance: from.chance,
    notes: memoryNotes(),
    workers: lent(from.workers),
    tab: 'rehearsal',
    isKept: true,
  });
  const leave = store.subscribe(({ entry }) => {
    if (entry) clock.add(actMs(entry.act, settings.rollsPerMinute ?? USUAL_PACE));
  });
  return {
    workshop,
    clock,
    hidden: { seed, belief },
    of: piece,
    firstId,
    close: () => {
      leave();
      workshop.close();
    },
  };
};

/** An act that names another entry, as taking back does, names its copy. */
const withNames = (act: Act, copied: (id: string) => string): Act =>
  'of' in act && typeof act.of === 'string' ? { ...act, of: copied(act.of) } : act;

/** Begins another try from an entry of one: the log up to it is copied, the felt is the same. Gives its id. */
export const branchFrom = async (
  { workshop }: Rehearsal,
  of: { readonly pieceId: string; readonly seq: number; readonly name: string },
): Promise<string> => {
  const { store, chance, nowIso } = workshop;
  const piece = await store.get(pieceKind, of.pieceId);
  if (!piece) throw new Error('This try is not there any more.');
  const id = chance.newId();
  const copied = (entryId: string): string => `${entryId.slice(0, 40)}-${id.slice(0, 8)}`;
  const entries = (await store.entries(of.pieceId))
    .filter(e => e.seq <= of.seq)
    .map(e => ({ ...e, pieceId: id, id: copied(e.id), act: withNames(e.act, copied) }));
  await store.transact(() => ({
    batch: { ...NO_BATCH, put: [{ ...piece, id, name: of.name, createdAt: nowIso() }], entries },
    result: null,
  }));
  return id;
};

export const RehearsalContext = createContext<Rehearsal | null>(null);

/** The rehearsal one is in. */
export const useRehearsal = (): Rehearsal => {
  const rehearsal = useContext(RehearsalContext);
  if (!rehearsal) throw new Error('No rehearsal is going on here.');
  return rehearsal;
};
