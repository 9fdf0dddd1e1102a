import type { FormPlan } from '../forms/formKind';
import type { Way } from '../ways/way';

/** Every fault that the bench knows, by its id: whether it has a place on the piece, and which pieces it can happen to. */
const REGISTER = {
  thin: { hasPlace: true, of: 'flat' },
  slides: { hasPlace: false, of: 'all' },
  fluffy: { hasPlace: false, of: 'all' },
  foam: { hasPlace: false, of: 'all' },
  fold: { hasPlace: true, of: 'rolled' },
  stuck: { hasPlace: true, of: 'resist' },
  long: { hasPlace: false, of: 'rolled' },
  corner: { hasPlace: true, of: 'rolled' },
  ridge: { hasPlace: true, of: 'resist' },
  crack: { hasPlace: false, of: 'solid' },
  sausage: { hasPlace: false, of: 'solid' },
  soft: { hasPlace: false, of: 'solid' },
  stalled: { hasPlace: false, of: 'all' },
  small: { hasPlace: false, of: 'all' },
  unequal: { hasPlace: false, of: 'many' },
} as const satisfies Record<
  string,
  { readonly hasPlace: boolean; readonly of: 'all' | 'flat' | 'rolled' | 'resist' | 'solid' | 'many' }
>;

export type FaultId = keyof typeof REGISTER;

/** Something that goes wrong at the bench. What is seen, why, and what helps stands in `src/words/faults.ts`. */
export interface Fault {
  readonly id: FaultId;
  /** True where it has a place on the piece, which is marked and looked at again. */
  readonly hasPlace: boolean;
  /** Which pieces it can happen to. */
  readonly of: 'all' | 'flat' | 'rolled' | 'resist' | 'solid' | 'many';
}

const isFaultId = (id: string): id is FaultId => Object.hasOwn(REGISTER, id);

export const FAULTS: readonly Fault[] = Object.keys(REGISTER)
  .filter(isFaultId)
  .map(id => ({ id, ...REGISTER[id] }));

export const faultOf = (id: string): Fault | null => (isFaultId(id) ? { id, ...REGISTER[id] } : null);

/** Whether something has to be taken out of a piece: its mouth is cut, and front and back can stick together. */
export const isHollow = ({ outlineIs }: FormPlan): boolean => outlineIs === 'resist' || outlineIs === 'ball';

/** Whether a fault can happen to a piece of this form, worked in this way, of so many alike. */
export const canOccur = (
  fault: Fault,
  form: FormPlan,
  of: { readonly pieces: number; readonly way: Pick<Way, 'hasDirections' | 'bySide'> },
): boolean => {
  switch (fault.of) {
    case 'all':
      return true;
    case 'solid':
      return form.solid !== null;
    case 'flat':
      return form.solid === null;
    // What is never rolled in a bundle has no fold in it, and no direction that lags.
    case 'rolled':
      return form.solid === null && of.way.hasDirections;
    case 'many':
      return of.pieces > 1;
    case 'resist':
      return isHollow(form) && of.way.bySide;
  }
};
