import type { FormKind, Offer } from '../forms/formKind';
import { makePlan } from './makePlan';
import type { PlanInput } from './planInput';
import { USUAL } from './usual';

/** What a plan begins from: the size it should be, a resist you have already, or the wool you have left. */
export type StartFrom = 'size' | 'laidSize' | 'grams';

/** The plan a piece of a form begins with. */
export const newPlan = (
  kind: FormKind,
  of: {
    readonly offer?: Offer;
    readonly shrinkage?: { readonly along: number; readonly across: number };
  } = {},
): PlanInput => {
  const s = kind.usual.shrinkage ?? USUAL.shrinkage;
  const wall = kind.body === 'sheet';
  const asLaid = kind.size.asLaid?.(kind.defaults) === true;
  const shrinkage = of.shrinkage ?? { along: s, across: s };
  return {
    form: {
      kind: kind.kind,
      measures: { ...kind.defaults, ...of.offer?.measures },
      outline: of.offer?.outline ?? kind.outline ?? null,
      measuredOn: 'inside',
    },
    pieces: of.offer?.pieces ?? kind.pieces ?? 1,
    shrinkage,
    pinned: [],
    given: [
      asLaid ? 'laidSize' : 'size',
      'shrinkage',
      ...(wall ? (['layers', 'thickness'] as const) : []),
      'firmness',
    ],
    chain: {
      ...(asLaid
        ? { laidSize: kind.size.of(kind.defaults, 1 / (1 - shrinkage.along)) / (1 - shrinkage.along) }
        : {}),
      ...(wall ? { layers: kind.usual.layers, thickness: kind.usual.thicknessMm } : {}),
      firmness: of.offer?.firmness ?? kind.usual.firmness,
    },
    foldOverMm: kind.usual.foldOverMm ?? (kind.faces > 1 ? USUAL.foldOverMm : 0),
    resistMm: 0,
    keptShare: USUAL.keptShare,
    reserveShare: USUAL.reserveShare,
    ...(wall ? {} : { heaps: 'each' as const }),
    scaleStepG: wall ? USUAL.scaleStepG : USUAL.fineScaleStepG,
  };
};

/**
 * A plan that begins from what is there: the link is pinned at the figure it has, and the size follows from it.
 * @returns the plan as it was for `size`, or where it does not solve
 */
export const startFrom = (input: PlanInput, from: StartFrom): PlanInput => {
  if (from === 'size') return input;
  const made = makePlan(input);
  const value = made.ok ? made.value.values[from] : undefined;
  if (value === undefined) return input;
  return {
    ...input,
    pinned: [from],
    given: input.given.filter(l => l !== 'size' && l !== 'laidSize'),
    chain: { ...input.chain, [from]: value },
  };
};

/** A plan with or without a size to reach; without one it stands on what is laid. */
export const setAsItComes = (input: PlanInput, comes: boolean): PlanInput => {
  const { asItComes: _, ...wanted } = input;
  return comes ? { ...startFrom(input, 'laidSize'), asItComes: true } : wanted;
};
