import { useEffect, useState } from 'react';
import type { PlanInput } from '../../core/plan/planInput';
import { planOf } from '../../core/plan/planOf';
import { setMeasure } from '../../core/plan/setLink';
import { idle } from '../../ui/idle';

/** How much larger neighbours are. */
const NEIGHBOURS = [1.01, 1.02] as const;

/**
 * Works out neighbours of a plan in idle moments, and throws them away: what the browser has to learn for it does not wait for the first figure that
 * is typed.
 */
export const useNeighbour = (input: PlanInput): void => {
  const [first] = useState(input);
  useEffect(() => {
    let isShown = true;
    const think = async (): Promise<void> => {
      for (const by of NEIGHBOURS) {
        await idle();
        const plan = planOf(first);
        const [spec] = plan.ok ? plan.value.kind.specs(plan.value.measures) : [];
        const value = plan.ok && spec ? plan.value.measures[spec.id] : undefined;
        if (!isShown || !spec || value === undefined) return;
        const next = setMeasure(first, spec.id, value * by);
        await idle();
        planOf(next);
      }
    };
    void think();
    return () => {
      isShown = false;
    };
  }, [first]);
};
