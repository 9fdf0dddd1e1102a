import type { ChainQuantity } from '../chain/quantities';
import { err, ok, type Result } from '../result';
import { linearFromKept } from '../shrinkage/linearFromKept';
import { makePlan, type Plan } from './makePlan';
import type { PlanInput } from './planInput';
import { setLink } from './setLink';

/** What a share of the size is meant of: length, area, or volume and wool of a solid. */
export type ShareOf = 'length' | 'area' | 'volume';

/** Dimensions of each. */
const DIMENSIONS = { length: 1, area: 2, volume: 3 } as const;

/**
 * How many times as long a thing is that has a share of the area or volume.
 * @param share > 0; 0.5 for half
 * @example lengthOfShare(0.5, 'area') // 0.7071: half the area is 29.3 % less of the length
 */
export const lengthOfShare = (share: number, of: ShareOf): number =>
  1 - linearFromKept(share, DIMENSIONS[of]);

/** What is made otherwise than before. What is left out stays as it was. */
export interface RescaleChange {
  /** Finished length as a share of what it was. */
  readonly lengthShare?: number;
  readonly shrinkage?: { readonly along: number; readonly across: number };
}

export interface RescaledPlan {
  readonly input: PlanInput;
  readonly before: Plan;
  readonly after: Plan;
}

/** What of a recipe makes the felt: it stays the same at another size, so that the wool follows. */
const FELT: Readonly<Record<'sheet' | 'solid', readonly ChainQuantity[]>> = {
  sheet: ['size', 'shrinkage', 'layers', 'thickness', 'firmness'],
  solid: ['size', 'shrinkage', 'firmness'],
};

/**
 * A recipe at another size or shrinkage: the same felt, so wool goes with the area as laid, and with the volume for a
 * solid. Allowances and fold-over stay as they are. Fails as `makePlan` does.
 */
export const rescalePlan = (input: PlanInput, change: RescaleChange): Result<RescaledPlan> => {
  const before = makePlan(input);
  if (!before.ok) return before;
  const { kind, values, shrinkage } = before.value;
  const { size = 0, shrinkage: _along, ...chain } = values;
  const held: PlanInput = {
    ...input,
    shrinkage: change.shrinkage ?? shrinkage,
    form: { ...input.form, measures: before.value.measures },
    pinned: [],
    given: FELT[kind.body],
    chain,
  };
  const next = setLink(held, 'size', size * (change.lengthShare ?? 1));
  const after = makePlan(next);
  return after.ok ? ok({ input: next, before: before.value, after: after.value }) : err(...after.issues);
};
