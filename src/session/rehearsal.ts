import { createContext, useContext } from 'react';
import { type Act, amountOf, controlOf } from '../core/acts/act';
import { benchLog } from '../core/log/logParts';
import { planOf } from '../core/plan/planOf';
import { USUAL_PACE } from '../core/log/counting';
import { GENERAL_PRIOR, type Prior } from '../core/felting/feltingModel';
import type { Hidden } from '../core/rehearsal/hidden';
import { WHOLE_LAYING } from '../core/wool/layProgress';
import { type Entry, ENTRY_VERSION } from '../records/entry';
import type { Lesson } from '../records/lesson';
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
  /** What is to be learnt; null where it is only practised. */
  readonly lesson: Lesson | null;
  /** Other felts that the same log may be of: how far what comes may part. None where nothing was measured yet. */
  readonly others: readonly Hidden[];
  /** The piece it was made of. */
  readonly of: Piece;
  /** When it was begun, ms since 1970, by its own clock. */
  readonly startMs: number;
  /** Up to which place of its log it was there when it was begun. */
  readonly begunSeq: number;
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

/** The log of a piece that is laid, and what was done with it before. */
const laidEntries = (
  pieceId: string,
  done: readonly Act[],
  of: { readonly newId: () => string; readonly at: string },
): readonly Entry[] =>
  [{ kind: 'lay', step: WHOLE_LAYING, how: 'done' } as const, ...done].map((act, i): Entry => ({
    kind: 'entry',
    version: ENTRY_VERSION,
    pieceId,
    seq: i + 1,
    id: of.newId(),
    at: of.at,
    act,
  }));

/** The felt of a lesson: the same for everybody. */
const feltOf = ({ seed, faults, firmAt }: Lesson): Hidden => ({
  seed,
  belief: GENERAL_PRIOR,
  faults,
  ...(firmAt === undefined ? {} : { firmAt }),
});

/** An act that names another entry, as taking back does, names its copy. */
const withNames = (act: Act, copied: (id: string) => string): Act =>
  'of' in act && typeof act.of === 'string' ? { ...act, of: copied(act.of) } : act;

/** Entries of one piece as a copy for another. */
const copiedTo = (pieceId: string, entries: readonly Entry[]): readonly Entry[] => {
  const copied = (id: string): string => `${id.slice(0, 40)}-${pieceId.slice(0, 8)}`;
  return entries.map(e => ({ ...e, pieceId, id: copied(e.id), act: withNames(e.act, copied) }));
};

/** So many felts show how far what comes may part. */
const FELTS = 12;

/** The felts that it may be: one that is drawn, or several that a real piece may be. */
const feltsFor = async (
  log: readonly Entry[],
  of: { readonly piece: Piece; readonly belief: Prior; readonly seed: number; readonly goesOn: boolean },
): Promise<readonly Hidden[]> => {
  const { piece, belief, seed, goesOn } = of;
  const plan = planOf(piece.plan);
  if (!goesOn || !plan.ok) return [{ seed, belief }];
  const { feltsOf } = await import('../core/rehearsal/goOn');
  return feltsOf(benchLog(log), { form: plan.value.form, belief, seed, count: FELTS });
};

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
    /** True to go on from where the piece is, with a copy of its own log. */
    readonly goesOn?: boolean;
    /** What is to be learnt: it says what was done before, and what can go wrong. */
    readonly lesson?: Lesson;
  },
): Promise<Rehearsal> => {
  const { piece, belief, asked, seed, goesOn = false, lesson } = of;
  const clock = makeRehearsalClock(from.clock);
  const startMs = clock.nowMs();
  const nowIso = (): string => isoTime(clock.nowMs());
  const store = memoryStore(nowIso);
  const [wools, swatches, settings, ownLog, pieces, logs] = await Promise.all([
    from.store.all(woolKind),
    from.store.all(swatchKind),
    from.store.settings(),
    goesOn ? from.store.entries(piece.id) : [],
    Promise.all(asked.map(id => from.store.get(pieceKind, id))),
    Promise.all(asked.map(id => from.store.entries(id))),
  ]);
  const firstId = from.chance.newId();
  const own = pieceAgain(piece, { id: firstId, name: piece.name, now: nowIso() });
  const first = { ...own, plan: { ...own.plan, pieces: 1 }, recipe: null, after: null };
  const teachers = pieces.filter(p => p !== null);
  const begun = goesOn
    ? copiedTo(firstId, ownLog)
    : laidEntries(firstId, lesson?.done ?? [], { newId: from.chance.newId, at: nowIso() });
  const felts = lesson ? [feltOf(lesson)] : await feltsFor(begun, { piece: first, belief, seed, goesOn });
  await store.transact(() => ({
    batch: {
      ...NO_BATCH,
      put: [...wools, ...swatches, ...teachers, first],
      entries: [...logs.flat(), ...begun],
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
    hidden: felts[0] ?? { seed, belief },
    others: felts.slice(1),
    lesson: lesson ?? null,
    startMs,
    begunSeq: Math.max(...begun.map(e => e.seq)),
    of: piece,
    firstId,
    close: () => {
      leave();
      workshop.close();
    },
  };
};

/** Begins another try from an entry of one: the log up to it is copied, the felt is the same. Gives its id. */
export const branchFrom = async (
  { workshop }: Rehearsal,
  of: { readonly pieceId: string; readonly seq: number; readonly name: string },
): Promise<string> => {
  const { store, chance, nowIso } = workshop;
  const piece = await store.get(pieceKind, of.pieceId);
  if (!piece) throw new Error('This try is not there any more.');
  const id = chance.newId();
  const entries = copiedTo(
    id,
    (await store.entries(of.pieceId)).filter(e => e.seq <= of.seq),
  );
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
