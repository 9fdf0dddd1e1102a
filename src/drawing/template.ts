import type { Plan } from '../core/plan/makePlan';
import { boundsOf, type Box, type Point } from '../core/outline/polygon';
import { showQuantity, type UnitSystem } from '../core/units/units';
import { pieceScene, type Shape } from './scene';

/** Words on a template, standing at a point, mm. */
export interface Words {
  readonly at: Point;
  readonly text: string;
  readonly sizeMm: number;
}

/** What is cut and drawn at true scale, in mm on the table. Every export is made from this one thing. */
export interface Template {
  readonly title: string;
  readonly shapes: readonly Shape[];
  readonly words: readonly Words[];
  readonly box: Box;
}

const WORD_MM = 5;
const centre = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });

/**
 * The template of a plan: the resist or layout outline, the wool with its fold-over, the gauge lines, the wanted
 * outline inside, and what must be known at the table.
 */
export const makeTemplate = (
  plan: Plan,
  of: {
    readonly name: string;
    readonly date: string;
    readonly foldOverMm: number;
    readonly units: UnitSystem;
  },
): Template => {
  const scene = pieceScene(plan.form, { foldOverMm: of.foldOverMm });
  const gauges: Shape[] = scene.marks.map(m => ({ role: 'gauge', points: [m.from, m.to], closed: false }));
  const shapes = [...scene.shapes, ...gauges];
  const length = (v: number): string => showQuantity(v, 'length', of.units);
  const gaugeWords = scene.marks.map(m => ({
    at: {
      x: centre(m.from, m.to).x + 3,
      y: centre(m.from, m.to).y - 3 + (m.gauge.directionDeg === 0 ? -12 : 0),
    },
    text: `${m.gauge.id}: laid ${length(m.gauge.laidMm)}, wanted ${length(m.gauge.wantedMm)}`,
    sizeMm: WORD_MM,
  }));
  const perFace =
    plan.weigh?.faces.map(f => `${f.name} ${showQuantity(f.grams, 'mass', of.units)}`).join(', ') ?? '';
  const head = [
    of.name,
    `${of.date} · shrinkage ${Math.round(plan.shrinkage.along * 100)} % along, ${Math.round(plan.shrinkage.across * 100)} % across`,
    `${plan.form.outlineIs === 'resist' ? 'Cut the resist' : 'Lay the wool'} to the dashed line. Wool: ${perFace}.`,
  ];
  const box = boundsOf(shapes.flatMap(s => s.points));
  const start = {
    x: centre({ x: box.minX, y: 0 }, { x: box.maxX, y: 0 }).x - 40,
    y: box.minY + (box.maxY - box.minY) * 0.62,
  };
  return {
    title: of.name,
    shapes,
    words: [
      ...gaugeWords,
      ...head.map((text, i) => ({ at: { x: start.x, y: start.y + i * 7 }, text, sizeMm: WORD_MM })),
    ],
    box,
  };
};
