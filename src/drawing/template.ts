import { distinctFaces } from '../core/forms/distinctFaces';
import type { FormPlan } from '../core/forms/formKind';
import type { Plan } from '../core/plan/makePlan';
import { areMirrored, isMirrored, upperHalf } from '../core/outline/mirror';
import { boundsOf, type Box, type Point } from '../core/outline/polygon';
import { showQuantity, showShare, type UnitSystem } from '../core/units/units';
import { DASHED_LINE } from './dashedLine';
import { turnFor } from './orient';
import { pieceScene, type Role, type Shape } from './scene';

/** Words on a template, standing at a point, mm. */
export interface TemplateText {
  readonly at: Point;
  readonly text: string;
  readonly sizeMm: number;
}

/** What is cut and drawn at true scale, in mm on the table. Every export is made from this one thing. */
export interface Template {
  readonly title: string;
  readonly shapes: readonly Shape[];
  readonly words: readonly TemplateText[];
  /** What must be known at the table, written on every sheet. */
  readonly notes: readonly string[];
  readonly box: Box;
}

export interface TemplateOf {
  readonly name: string;
  readonly date: string;
  readonly foldOverMm: number;
  readonly pieces: number;
  readonly units: UnitSystem;
  /** Only one half, to be laid on a fold. Left out, or where the form is not mirrored: the whole. */
  readonly half?: boolean;
}

const WORD_MM = 5;
const NAME_MM = 3.2;
/** Where along a measuring line its letter stands: off the middle, where other lines cross. */
const LABEL_AT = 0.22;
/** More lines than these are not named one by one. */
const MOST_NAMED = 4;

/** Whether half a template says everything: every face and every cut has its own image about the along axis. */
export const canHalve = (form: FormPlan): boolean =>
  distinctFaces(form).every(f => isMirrored(f.outline.points)) &&
  isMirrored(form.laid.points) &&
  areMirrored(form.cuts.map(c => (c.closed ? [...c.line, ...c.line.slice(0, 1)] : c.line)));

/** Every face's lines: what all share, and the wool and mouth of each that differs. */
const shapesOf = (form: FormPlan, foldOverMm: number): Shape[] => {
  const [first, ...others] = distinctFaces(form).map(f => form.faces.indexOf(f));
  const base = pieceScene(form, { foldOverMm, face: first ?? 0 }).shapes;
  const own: readonly Role[] = ['wool', 'mouth'];
  return [
    ...base,
    ...others.flatMap(face =>
      pieceScene(form, { foldOverMm, face }).shapes.filter(s => own.includes(s.role)),
    ),
  ];
};

/** Names at the start of cut and fold lines, where there are few. */
const lineNames = (form: FormPlan): TemplateText[] => {
  const turn = turnFor(form.alongOnTable);
  return [form.cuts, form.folds].flatMap(lines =>
    lines.length > MOST_NAMED
      ? []
      : lines.flatMap(({ name, line }) => {
          const [start] = line.map(turn);
          return start ? [{ at: { x: start.x + 2, y: start.y - 2 }, text: name, sizeMm: NAME_MM }] : [];
        }),
  );
};

/** One half of the shapes, with the fold that it is laid on. */
const halved = (shapes: readonly Shape[], form: FormPlan): Shape[] => {
  // Along the axis the table shows x right or y up or down; the half is the same side in the piece's own frame.
  const turn = turnFor(form.alongOnTable);
  const back = (p: Point): Point => {
    const [u, v] = [turn({ x: 1, y: 0 }), turn({ x: 0, y: 1 })];
    return { x: p.x * u.x + p.y * u.y, y: p.x * v.x + p.y * v.y };
  };
  const ends = boundsOf(form.laid.points);
  const fold: Shape = {
    role: 'fold',
    points: [turn({ x: ends.minX, y: 0 }), turn({ x: ends.maxX, y: 0 })],
    closed: false,
  };
  return [
    ...shapes.flatMap(s =>
      upperHalf(s.points.map(back), s.closed).map(points => ({
        ...s,
        points: points.map(turn),
        closed: s.closed && points.length === s.points.length + 1,
      })),
    ),
    fold,
  ];
};

const notesOf = (plan: Plan, of: TemplateOf, half: boolean): string[] => {
  const length = (v: number): string => showQuantity(v, 'length', of.units);
  const { asItComes } = plan.form;
  const gauges = plan.form.gauges.map(g =>
    asItComes
      ? `${g.id} laid ${length(g.laidMm)}`
      : `${g.id} laid ${length(g.laidMm)}, target ${length(g.wantedMm)}`,
  );
  const heaps =
    plan.weigh?.faces.map(f => `${f.name} ${showQuantity(f.grams, 'mass', of.units)}`).join(', ') ?? '';
  const alike = of.pieces > 1 ? ` · ${of.pieces} alike` : '';
  return [
    `${of.date} · shrinkage ${showShare(plan.shrinkage.along)} lengthwise, ${showShare(plan.shrinkage.across)} crosswise · wool: ${heaps}${alike}`,
    `${DASHED_LINE[plan.form.outlineIs]} ${asItComes ? 'It comes as it comes.' : 'The dotted line is the target size.'} ${gauges.join('; ')}.`,
    ...(half
      ? ['Half of it: put the fold line on the fold of your paper or plastic, and cut both layers.']
      : []),
  ];
};

/**
 * The template of a plan: the resist or layout outline, the wool with its fold-over, the measuring lines, the wanted
 * outline inside, and what must be known at the table.
 */
export const makeTemplate = (plan: Plan, of: TemplateOf): Template => {
  const half = (of.half ?? false) && canHalve(plan.form);
  const scene = pieceScene(plan.form, { foldOverMm: of.foldOverMm });
  const lines: Shape[] = scene.marks.map(m => ({ role: 'gauge', points: [m.from, m.to], closed: false }));
  const whole = [...shapesOf(plan.form, of.foldOverMm), ...lines];
  const shapes = half ? halved(whole, plan.form) : whole;
  const letters = scene.marks.map(m => ({
    at: {
      x: m.from.x + (m.to.x - m.from.x) * (half ? 1 - LABEL_AT : LABEL_AT) + 3,
      y: m.from.y + (m.to.y - m.from.y) * (half ? 1 - LABEL_AT : LABEL_AT) - 2,
    },
    text: m.gauge.id,
    sizeMm: WORD_MM,
  }));
  return {
    title: of.name,
    shapes,
    words: [...letters, ...(half ? [] : lineNames(plan.form))],
    notes: notesOf(plan, of, half),
    box: boundsOf(shapes.flatMap(s => s.points)),
  };
};
