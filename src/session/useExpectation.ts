import {
  type Expectation,
  type ShrinkageReading,
  shrinkageLearner,
} from '../core/learning/expectedShrinkage';
import { outcome } from '../core/plan/outcome';
import { planOf } from '../core/plan/planOf';
import { type Breed, breedOf } from '../core/wool/breeds';
import { swatchOutcome } from '../core/wool/swatchOutcome';
import type { Piece } from '../records/piece';
import type { Swatch } from '../records/swatch';
import type { Wool } from '../records/wool';
import { useAllPieces, useSwatches, useWools } from './useRecords';

/** What is expected of a wool's next piece, and what of its own says so. */
export interface WoolExpectation extends Expectation {
  readonly breed: Breed | null;
  /** Its finished pieces and swatches. */
  readonly shownBy: readonly ShrinkageReading[];
  /** Pieces and swatches of other wools that speak with them. */
  readonly others: number;
}

const shownByPiece = (piece: Piece): Pick<ShrinkageReading, 'along' | 'across'> => {
  const plan = planOf(piece.plan);
  if (!plan.ok) return { along: null, across: null };
  const { along, across } = outcome(plan.value.form, piece.result, plan.value.laidGramsEach);
  return { along, across };
};

/** Everything that was finished and measured at least one way. */
const everythingShown = (of: {
  readonly pieces: readonly Piece[];
  readonly swatches: readonly Swatch[];
  readonly wools: readonly Wool[];
}): readonly ShrinkageReading[] => {
  const breeds = new Map(of.wools.map(w => [w.id, breedOf(w.fibre)]));
  const fibre = (woolId: string): Pick<ShrinkageReading, 'woolId' | 'breedId' | 'felts'> => {
    const breed = breeds.get(woolId) ?? null;
    return { woolId, breedId: breed?.id ?? '', felts: breed?.felts ?? null };
  };
  const pieces = of.pieces.flatMap((p): ShrinkageReading[] =>
    p.deletedAt !== null || p.woolId === null || p.result.finishedAt === null
      ? []
      : [{ id: p.id, name: p.name, isSwatch: false, ...fibre(p.woolId), ...shownByPiece(p) }],
  );
  const swatches = of.swatches.flatMap((s): ShrinkageReading[] =>
    s.deletedAt !== null || s.result.finishedAt === null
      ? []
      : [{ id: s.id, name: 'swatch', isSwatch: true, ...fibre(s.woolId), ...swatchOutcome(s) }],
  );
  return [...pieces, ...swatches].filter(s => s.along !== null || s.across !== null);
};

type Learnt = {
  readonly shown: readonly ShrinkageReading[];
  readonly ask: ReturnType<typeof shrinkageLearner>;
};
/** What was learnt last, kept while no record changed: many wools ask at once. */
let last: { readonly of: readonly unknown[]; readonly learnt: Learnt } | null = null;

const learn = (of: Parameters<typeof everythingShown>[0], except: string | undefined): Learnt => {
  const key = [of.pieces, of.swatches, of.wools, except];
  if (last && key.every((v, i) => v === last?.of[i])) return last.learnt;
  const shown = everythingShown(of).filter(s => s.id !== except);
  const learnt = { shown, ask: shrinkageLearner(shown) };
  last = { of: key, learnt };
  return learnt;
};

/** Answers what is expected of any wool on the shelf. `except` leaves one piece out, so that it does not foretell itself. */
export const useExpectations = (except?: string): ((wool: Wool) => WoolExpectation) => {
  const pieces = useAllPieces();
  const swatches = useSwatches();
  const wools = useWools();
  const { shown, ask } = learn({ pieces, swatches, wools }, except);
  return wool => {
    const breed = breedOf(wool.fibre);
    const own = shown.filter(s => s.woolId === wool.id);
    return {
      ...ask({ woolId: wool.id, breedId: breed?.id ?? '', felts: breed?.felts ?? null }),
      breed,
      shownBy: own,
      others: shown.length - own.length,
    };
  };
};

/** What is expected of one wool; null where there is no such wool. */
export const useExpectation = (woolId: string | null, except?: string): WoolExpectation | null => {
  const ask = useExpectations(except);
  const wool = useWools().find(w => w.id === woolId);
  return wool ? ask(wool) : null;
};
