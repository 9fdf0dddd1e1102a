// What `npm run bench` times in Node and in a worker of the browser: a plan of many points, the same sum by the library alone, a felting update.
import { areaPathsD, EndType, inflatePathsD, JoinType } from 'clipper2-ts';
import { balancedWork, GENERAL_PRIOR, NO_WORK } from '../src/core/felting/feltingModel';
import { infer } from '../src/core/felting/infer';
import type { FeltingRecord } from '../src/core/felting/likelihood';
import { freeEnvelope } from '../src/core/forms/kinds/freeEnvelope';
import { outlineOf } from '../src/core/outline/edit';
import { boundsOf, scalePoints } from '../src/core/outline/polygon';
import { makePlan } from '../src/core/plan/makePlan';
import { newPlan } from '../src/core/plan/newPlan';
import type { PlanInput } from '../src/core/plan/planInput';
import { setOutline } from '../src/core/plan/setLink';
import { OFFSET_ARC_MM, OFFSET_DECIMALS } from '../src/core/tolerances';

/** An outline of many points, as a trace leaves it. */
export const wavy = (n: number) =>
  outlineOf(
    Array.from({ length: n }, (_, i) => {
      const angle = (2 * Math.PI * i) / n;
      const r = 200 + 25 * Math.sin(5 * angle) + 0.4 * Math.sin(97 * angle);
      return { x: r * Math.cos(angle), y: 0.7 * r * Math.sin(angle) };
    }),
  );

export const planned = (input: PlanInput) => {
  const plan = makePlan(input);
  if (!plan.ok) throw new Error(JSON.stringify(plan.issues));
  return plan.value;
};

const FIVE_HUNDRED = wavy(500);
export const traced = setOutline({ ...newPlan(freeEnvelope) }, FIVE_HUNDRED);

/** The areas of that plan done plainly with the polygon library: grown by the ease, then by the fold-over. */
const plainly = () => {
  const { measures } = traced.form;
  const box = boundsOf(FIVE_HUNDRED.points);
  const by = {
    x: (measures['length'] ?? 0) / (box.maxX - box.minX),
    y: (measures['width'] ?? 0) / (box.maxY - box.minY),
  };
  const inflated = (paths: Parameters<typeof inflatePathsD>[0], width: number) =>
    inflatePathsD(paths, width, JoinType.Round, EndType.Polygon, 2, OFFSET_DECIMALS, OFFSET_ARC_MM);
  const finished = inflated([scalePoints(FIVE_HUNDRED.points, by)], measures['ease'] ?? 0);
  const { along, across } = traced.shrinkage;
  const laid = finished.map(f => scalePoints(f, { x: 1 / (1 - along), y: 1 / (1 - across) }));
  return [0, 1].map(() => inflated(laid, traced.foldOverMm)).map(areaPathsD);
};

/** A log of sixty entries, with ten measurings, as the bench has it when a piece is nearly done. */
export const record: FeltingRecord = {
  gaugesDeg: [0, 90, 90],
  intervals: Array.from({ length: 10 }, (_, k) => ({
    work: balancedWork(60),
    read: [0, 1, 2].map(g => -0.036 * (k + 1) + 0.008 * Math.sin(3 * k + g)),
  })),
  since: NO_WORK,
  belief: GENERAL_PRIOR,
  startSd: 0,
};

export const WORKS = { plan: () => planned(traced), plainly, update: () => infer(record) } as const;
export type Work = keyof typeof WORKS;

/** How long each of some runs takes, ms, after others that nobody times. */
export const timesOf = (work: () => unknown, runs: number, warmUp: number): number[] => {
  for (let i = 0; i < warmUp; i += 1) work();
  return Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
};
