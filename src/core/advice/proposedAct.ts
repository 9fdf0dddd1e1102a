import type { ActChoices } from '../acts/choices';
import type { Cushion, RollDirection, TestName } from '../acts/vocabulary';
import type { GaugeProgress } from '../forecast/forecast';
import type { RecipeStep } from '../acts/recipeStep';

/** Why an act is proposed. The words are the interface's. */
export type Reason =
  | 'dry-face'
  | 'no-skin-yet'
  | 'skin-to-test'
  /** Hairs have come through cloth: it is rubbed from its back. */
  | 'hairs-through'
  | 'measure-due'
  | 'least-worked'
  | 'direction-lags'
  | 'nearly-there'
  | 'size-reached-soft'
  | 'soft-inside'
  | 'size-and-firm'
  | 'too-small'
  | 'way-to-go'
  | 'look-again'
  | 'does-not-fit'
  | 'as-near-as-it-gets'
  | 'at-its-limit'
  | 'by-recipe'
  | 'corner-lags'
  | 'thin-to-mend'
  /** It was not measured when it was time to; the work goes on. */
  | 'unmeasured'
  /** It is time to open it, or to take out what it is made over. */
  | 'time-to-open'
  /** Petals and the like are cut one by one, each edge rubbed before the next. */
  | 'cut-one-by-one'
  /** It was cut, and its edges may open again. */
  | 'edges-open'
  /** It is open: the inside is worked before it goes on. */
  | 'inside-next'
  /** What was laid first is the outside. */
  | 'made-inside-out'
  /** The skin holds: the edges of a sheet can be folded in. */
  | 'edges-now'
  /** What must fit is measured, now that it is open. */
  | 'must-fit'
  | 'hole-small'
  | 'hole-wide'
  | 'edges-last'
  | 'details-last'
  | 'form-last'
  /** What was next is put off; the work goes on. */
  | 'put-off'
  /** Of many alike: the water is foul by now; one is through; the next is taken up; all are through. */
  | 'water-foul'
  | 'one-is-through'
  | 'like-the-others'
  | 'next-of-many'
  | 'all-at-once'
  | 'all-through'
  /** It goes by feel: worked until the test says that it is firm. */
  | 'by-feel'
  /** By feel it is firm. */
  | 'firm-by-feel';

/** One next act. It never commands: any other act is as easy. */
export type ProposedAct = {
  readonly reason: Reason;
  readonly about?: GaugeProgress;
  /** What would have been advised without the recipe that is followed. */
  readonly alone?: ProposedAct;
} & (
  | { readonly act: 'wet'; readonly face: number; readonly water?: 'warm' | 'hot' }
  | { readonly act: 'rub'; readonly face: number; readonly count: number }
  | { readonly act: 'pinch' }
  /** Another test, by what it is done with. */
  | { readonly act: 'test'; readonly test: TestName }
  | { readonly act: 'measure' }
  /** It is held against its drawing. */
  | { readonly act: 'compare' }
  | {
      readonly act: 'roll';
      readonly face: number;
      readonly directionDeg: RollDirection;
      readonly rolls: number;
      /** The cushion it asks for; the felter's own where it does not say. */
      readonly cushion?: Cushion;
    }
  | { readonly act: 'throw'; readonly count: number }
  | { readonly act: 'shock'; readonly count: number }
  | { readonly act: 'look' }
  | {
      readonly act: 'open';
      readonly what: 'cut' | 'resist-out';
      /** Which of several cuts, from 1, and of how many. */
      readonly cut?: number;
      readonly of?: number;
    }
  /** Any other act that a tap logs, by its kind, as a recipe asks for it. */
  | ({ readonly act: 'other'; readonly kind: string } & ActChoices)
  /** A step of a recipe that only the felter can say is done. */
  | { readonly act: 'step'; readonly step: RecipeStep }
  | { readonly act: 'stretch' }
  | { readonly act: 'stop' }
);

/** The kind of act that a tap would log for an advice; null where it opens a panel or ends the work. */
export const proposedKind = (proposed: ProposedAct): string | null => {
  switch (proposed.act) {
    case 'other':
      return proposed.kind;
    case 'wet':
    case 'rub':
    case 'roll':
    case 'throw':
    case 'shock':
    case 'open':
    case 'step':
      return proposed.act;
    default:
      return null;
  }
};

/** What an advice chooses of its act. */
export const proposedChoices = (proposed: ProposedAct): ActChoices => {
  switch (proposed.act) {
    case 'roll': {
      const { face, directionDeg, rolls, cushion } = proposed;
      return { face, directionDeg, count: rolls, ...(cushion ? { cushion } : {}) };
    }
    case 'step':
      return { step: proposed.step.id };
    case 'wet':
    case 'rub':
    case 'throw':
    case 'shock':
    case 'open':
    case 'other': {
      const { reason: _reason, about: _about, alone: _alone, act: _act, ...choices } = proposed;
      return choices;
    }
    default:
      return {};
  }
};
