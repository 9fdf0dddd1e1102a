import { AXIS_WORDS } from '../../words/axes';
import type { Plan } from '../../core/plan/makePlan';
import type { PlanInput } from '../../core/plan/planInput';
import { setAxisShrinkage, setMeasure } from '../../core/plan/setLink';
import { MM_PER_INCH } from '../../core/units/constants';
import { showFigure, showQuantity, type UnitSystem } from '../../core/units/units';
import { type Settings, SNAP_NAMES } from '../../records/settings';
import type { GripControl } from '../../ui/table/GripPoint';

const SHRINKAGE_STEP = 0.005;

export interface ControlsOf {
  readonly input: PlanInput;
  readonly plan: Plan;
  readonly units: UnitSystem;
  readonly snap: Settings['snap'];
  readonly set: (change: (plan: PlanInput) => PlanInput, done: boolean, label: string) => void;
}

/** Steps a dragged length may snap to, mm, coarsest first. */
const SNAPS: Readonly<Record<UnitSystem, readonly number[]>> = {
  metric: [10, 5, 1, 0.5],
  imperial: [MM_PER_INCH / 2, MM_PER_INCH / 4, MM_PER_INCH / 8, MM_PER_INCH / 16],
};
/** A step coarser than this share of the figure would jump. */
const COARSEST = 1 / 16;

/** What a dragged length snaps to, mm: as asked for, and finer where the thing itself is small. */
export const snapStep = (of: {
  readonly units: UnitSystem;
  readonly snap: Settings['snap'];
  readonly value: number;
}): number => {
  const steps = SNAPS[of.units];
  const from = SNAP_NAMES.indexOf(of.snap);
  return steps.slice(from).find(s => s <= of.value * COARSEST) ?? steps.at(-1) ?? 1;
};

/** What each grip on the drawing changes. */
export const gripControls =
  ({ input, plan, units, snap, set }: ControlsOf) =>
  (target: string): GripControl | null => {
    if (target === 'shrinkage.along' || target === 'shrinkage.across') {
      const axis = target === 'shrinkage.along' ? 'along' : 'across';
      return {
        label: `Shrinkage ${AXIS_WORDS[axis]}`,
        value: plan.shrinkage[axis],
        text: `${showFigure(plan.shrinkage[axis], 'share', { units, places: 1 })} %`,
        min: 0.01,
        max: 0.8,
        step: SHRINKAGE_STEP,
        set: (v, done) => set(p => setAxisShrinkage(p, axis, v), done, `shrinkage ${AXIS_WORDS[axis]}`),
      };
    }
    if (target === 'foldOver')
      return {
        label: 'Fold-over',
        value: input.foldOverMm,
        text: showQuantity(input.foldOverMm, 'length', units),
        min: 0,
        max: 200,
        step: snapStep({ units, snap: 'fine', value: 200 }),
        set: (v, done) => set(p => ({ ...p, foldOverMm: v }), done, 'fold-over'),
      };
    const spec = plan.kind.specs(plan.measures).find(s => s.id === target);
    const value = plan.measures[target];
    if (!spec || value === undefined) return null;
    return {
      label: spec.label,
      value,
      text: showQuantity(value, 'length', units),
      min: spec.min,
      max: spec.max,
      step: snapStep({ units, snap, value }),
      set: (v, done) => set(p => setMeasure(p, target, v), done, spec.label),
    };
  };
