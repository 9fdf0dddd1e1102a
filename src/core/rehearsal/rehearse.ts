import { type Act, amountOf, waterAfter, workOfAct } from '../acts/act';
import type { Water } from '../acts/vocabulary';
import {
  addWork,
  guessSd,
  guessedWork,
  NO_WORK,
  withoutBias,
  type FeltingWork,
} from '../felting/feltingModel';
import { type SimulatedPiece, simulatedPiece } from '../felting/simulatedPiece';
import { skinHolds } from '../advice/skin';
import { isFelt } from '../forms/fits';
import type { Gauge } from '../forms/formKind';
import { benchState, type BenchState } from '../log/benchState';
import { entriesInForce } from '../log/entriesInForce';
import type { LogEntry } from '../log/entry';
import { normal } from '../numeric/random';
import { sidesOf } from '../ways/sidesOf';
import { chanceAt } from './chanceAt';
import { type CameAbout, faultsOf, type WayPoint } from './cameAbout';
import { firmAt, type Hidden, type Rehearsed, skinHoldsAt } from './hidden';

/** A made-up piece as it truly is. */
export interface FeltTruth {
  /** Every line that shrinks as felt does, laid or found once it is open. */
  readonly lines: readonly Gauge[];
  /** Of each, its length as a share of what it was laid. */
  readonly shares: readonly number[];
  /** The same as a tape laid on now would read it. */
  readonly taped: readonly number[];
  /** Logarithm of length that this felt loses at the most. */
  readonly limit: number;
  /** How far the skin of each side has come: from 1 on it holds. */
  readonly skin: ReadonlyMap<number, number>;
  /** From 1 on it is firm. */
  readonly firm: number;
  /** Mean share of the way from laid to wanted. */
  readonly progress: number;
  /** The same, and the skin, after each entry that stands. */
  readonly ways: readonly WayPoint[];
  readonly state: BenchState;
  readonly faults: readonly CameAbout[];
  /** Entries that stand. */
  readonly entries: readonly LogEntry[];
}

/** What a dry side makes of the work for the skin. Common practice. */
const DRY_SKIN = 0.4;
/** A roll does for the skin what so many reference rolls of rubbing would. Common practice. */
const ROLLS_TO_A_SKIN = 120;
/** What a usual amount of firming adds. Common practice. */
const FIRMS = 0.05;

/** Lines that the felting model moves. */
const linesOf = ({ form }: Pick<Rehearsed, 'form'>): readonly Gauge[] => [
  ...form.gauges,
  ...form.fits.filter(isFelt),
];

/** Work of an act as the hands really did it: what was only guessed was more or less. */
const reallyDone = (
  act: Act,
  water: Water,
  of: { readonly isSolid: boolean; readonly z: number },
): FeltingWork | null => {
  const done = workOfAct(act, water);
  if (!done) return null;
  const sd = guessSd(guessedWork(addWork(NO_WORK, done.rolls, null), done.spread));
  return addWork(NO_WORK, done.rolls * Math.exp(sd * of.z), of.isSolid ? null : done.directionDeg);
};

/** Sides on which an act makes a skin: its own, or all. */
const sidesWorked = (act: Act, faces: readonly number[]): readonly number[] =>
  'face' in act && typeof act.face === 'number' ? [act.face] : faces;

/** The skin of each side as it comes. */
const skins = ({ form, way }: Rehearsed, hidden: Hidden) => {
  const faces = sidesOf(form, way);
  const made = new Map<number, number>(faces.map(f => [f, 0]));
  const wet = new Set<number>();
  return {
    add: (act: Act): void => {
      if (act.kind === 'wet') wet.add(act.face);
      const isOwn = act.kind === way.skin.kind;
      const share = isOwn
        ? (amountOf(act)?.count ?? 0) / way.skin.count
        : (workOfAct(act, 'hot')?.rolls ?? 0) / ROLLS_TO_A_SKIN;
      for (const face of sidesWorked(act, faces))
        made.set(face, (made.get(face) ?? 0) + (wet.has(face) || !way.bySide ? share : DRY_SKIN * share));
    },
    /** It was tested, and held. */
    holds: (): void => {
      for (const face of faces)
        made.set(face, Math.max(made.get(face) ?? 0, 1.1 * skinHoldsAt(hidden, face)));
    },
    /** From 1 on it holds. */
    now: (): ReadonlyMap<number, number> =>
      new Map(faces.map(f => [f, (made.get(f) ?? 0) / skinHoldsAt(hidden, f)])),
  };
};

const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);

/** Walks the felt through a log. A measuring, or a look at the drawing, ends what was done with one vigour, as the model has it. */
const walked = (entries: readonly LogEntry[], of: Rehearsed, hidden: Hidden) => {
  const isSolid = Boolean(of.form.solid);
  const lines = linesOf(of);
  const own = of.form.gauges.length;
  const whole = sum(lines.slice(0, own).map(g => Math.log(g.wantedMm / g.laidMm)));
  const piece: SimulatedPiece = simulatedPiece(
    chanceAt(hidden.seed, 'felt'),
    lines.map(g => g.directionDeg),
    {
      belief: isSolid ? withoutBias(hidden.belief) : hidden.belief,
      ...(hidden.goesOn ? { from: hidden.goesOn.felt } : {}),
    },
  );
  const known = hidden.goesOn?.seq ?? 0;
  const skin = skins(of, hidden);
  let water: Water = 'hot';
  const ways = entries.map(({ act, seq }, n): WayPoint => {
    water = waterAfter(act) ?? water;
    const work = reallyDone(act, water, { isSolid, z: normal(chanceAt(hidden.seed, 'hands', n)) });
    const isNew = seq > known;
    if (work && isNew) piece.work(work);
    if (isNew && (act.kind === 'measure' || act.kind === 'compare')) piece.measure();
    skin.add(act);
    if (!isNew && skinHolds(benchState(entries.slice(n, n + 1)))) skin.holds();
    const progress = whole < 0 ? sum(piece.truth().slice(0, own)) / whole : 1;
    return { skin: Math.min(...skin.now().values()), progress };
  });
  return { lines, piece, ways, skin: skin.now() };
};

/**
 * A made-up piece after a log: the same seed and acts give the same piece on every machine. Pure; linear in the log.
 * Without faults its lengths are those of the felting model (docs/model-notes.md), drawn from what is believed.
 */
export const rehearse = (of: Rehearsed, hidden: Hidden, log: readonly LogEntry[]): FeltTruth => {
  const entries = entriesInForce(log);
  const { lines, piece, ways, skin } = walked(entries, of, hidden);
  const shares = piece.truth().map(Math.exp);
  const state = benchState(log);
  const { firms, shrink } = of.way;
  const firmed = firms.kind === shrink.kind ? 0 : ((state.done[firms.kind] ?? 0) / firms.count) * FIRMS;
  const progress = ways.at(-1)?.progress ?? 0;
  return {
    lines,
    shares,
    limit: piece.parameters.limit,
    // The next reading: what the log will hold once it is written down. Nothing but this asks for it.
    taped: piece.measure().map(Math.exp),
    skin,
    firm: progress / firmAt(hidden) + firmed,
    progress,
    ways,
    state,
    faults: faultsOf({ entries, ways, of }, hidden),
    entries,
  };
};
