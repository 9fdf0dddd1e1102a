import type { Plan } from '../../core/plan/makePlan';
import type { PlanInput } from '../../core/plan/planInput';
import { setAxisShrinkage, setMeasure } from '../../core/plan/setLink';
import { MM_PER_INCH } from '../../core/units/constants';
import { showFigure, showQuantity, type UnitSystem } from '../../core/units/units';
import type { GripControl } from '../../ui/table/GripPoint';

const SHRINKAGE_STEP = 0.005;

export interface ControlsOf {
  readonly input: PlanInput;
  readonly plan: Plan;
  readonly units: UnitSystem;
  readonly set: (change: (plan: PlanInput) => PlanInput, done: boolean, label: string) => void;
}

/** What each grip on the drawing changes. Lengths snap to a millimetre or an eighth of an inch. */
export const gripControls =
  ({ input, plan, units, set }: ControlsOf) =>
  (target: string): GripControl | null => {
    const step = units === 'metric' ? 1 : MM_PER_INCH / 8;
    if (target === 'shrinkage.along' || target === 'shrinkage.across') {
      const axis = target === 'shrinkage.along' ? 'along' : 'across';
      return {
        label: `Shrinkage ${axis}`,
        value: plan.shrinkage[axis],
        text: `${showFigure(plan.shrinkage[axis], 'share', { units, places: 1 })} %`,
        min: 0.01,
        max: 0.8,
        step: SHRINKAGE_STEP,
        set: (v, done) => set(p => setAxisShrinkage(p, axis, v), done, `shrinkage ${axis}`),
      };
    }
    if (target === 'foldOver')
      return {
        label: 'Fold-over',
        value: input.foldOverMm,
        text: showQuantity(input.foldOverMm, 'length', units),
        min: 0,
        max: 200,
        step,
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
      step,
      set: (v, done) => set(p => setMeasure(p, target, v), done, spec.label),
    };
  };
