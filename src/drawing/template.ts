import type { Plan } from '../core/plan/makePlan';
import { boundsOf, type Box, type Point } from '../core/outline/polygon';
import { showQuantity, showShare, type UnitSystem } from '../core/units/units';
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
  /** What must be known at the table, written on every sheet. */
  readonly notes: readonly string[];
  readonly box: Box;
}

const WORD_MM = 5;
/** Where along a gauge line its letter stands: off the middle, where other lines cross. */
const LABEL_AT = 0.22;

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
  const lines: Shape[] = scene.marks.map(m => ({ role: 'gauge', points: [m.from, m.to], closed: false }));
  const shapes = [...scene.shapes, ...lines];
  const length = (v: number): string => showQuantity(v, 'length', of.units);
  const words = scene.marks.map(m => ({
    at: {
      x: m.from.x + (m.to.x - m.from.x) * LABEL_AT + 3,
      y: m.from.y + (m.to.y - m.from.y) * LABEL_AT - 2,
    },
    text: m.gauge.id,
    sizeMm: WORD_MM,
  }));
  const gauges = plan.form.gauges.map(g => `${g.id} laid ${length(g.laidMm)}, wanted ${length(g.wantedMm)}`);
  const perFace =
    plan.weigh?.faces.map(f => `${f.name} ${showQuantity(f.grams, 'mass', of.units)}`).join(', ') ?? '';
  return {
    title: of.name,
    shapes,
    words,
    notes: [
      `${of.date} · shrinkage ${showShare(plan.shrinkage.along)} along, ${showShare(plan.shrinkage.across)} across · wool: ${perFace}`,
      `${plan.form.outlineIs === 'resist' ? 'Cut the resist' : 'Lay the wool'} to the dashed line; dotted is the wanted size. ${gauges.join('; ')}.`,
    ],
    box: boundsOf(shapes.flatMap(s => s.points)),
  };
};
