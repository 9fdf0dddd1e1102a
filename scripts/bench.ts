// npm run bench: how long the plan, a drag and forty sheets take, each beside a plain baseline run at the same time.
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { areaPathsD, EndType, inflatePathsD, JoinType } from 'clipper2-ts';
import { forecastPiece } from '../src/core/felting/forecastPiece';
import { balancedWork, GENERAL_PRIOR, NO_WORK } from '../src/core/felting/feltingModel';
import { infer } from '../src/core/felting/infer';
import type { FeltingRecord } from '../src/core/felting/likelihood';
import { freeEnvelope } from '../src/core/forms/kinds/freeEnvelope';
import { rectangle } from '../src/core/forms/kinds/rectangle';
import { FORM_KINDS } from '../src/core/forms/kinds/registry';
import { draggedFineness } from '../src/core/plan/whileEditing';
import { movePoint, outlineOf } from '../src/core/outline/edit';
import { boundsOf, polygonArea, scalePoints } from '../src/core/outline/polygon';
import { OFFSET_ARC_MM, OFFSET_DECIMALS } from '../src/core/tolerances';
import { makePlan } from '../src/core/plan/makePlan';
import { newPlan } from '../src/core/plan/newPlan';
import type { PlanInput } from '../src/core/plan/planInput';
import { setOutline } from '../src/core/plan/setLink';
import { svgPathData } from '../src/drawing/pathSink';
import { pieceScene } from '../src/drawing/scene';
import { makeTemplate } from '../src/drawing/template';
import { planSheets } from '../src/drawing/sheets';
import { templatePdf } from '../src/files/templatePdf';

const RUNS = 41;
/** Rounds before anything is timed: a felter drags for seconds, not once. */
const WARM_UP = 30;

const median = (values: readonly number[]): number =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? Number.NaN;
const time = (work: () => unknown): number => {
  const start = performance.now();
  work();
  return performance.now() - start;
};

/** An outline of many points, as a trace leaves it. */
const wavy = (n: number) =>
  outlineOf(
    Array.from({ length: n }, (_, i) => {
      const angle = (2 * Math.PI * i) / n;
      const r = 200 + 25 * Math.sin(5 * angle) + 0.4 * Math.sin(97 * angle);
      return { x: r * Math.cos(angle), y: 0.7 * r * Math.sin(angle) };
    }),
  );
const THOUSAND = wavy(1000);

/** The plain baseline: areas of a thousand-point outline by the shoelace formula, over and over. */
const BASELINE_ROUNDS = 20;
const baseline = (): void => {
  for (let i = 0; i < BASELINE_ROUNDS; i += 1) polygonArea(THOUSAND.points);
};

interface Row {
  readonly what: string;
  readonly ms: number;
  readonly plain: number;
  readonly limit: number;
}

/** Work and baseline in turn, so that what else the machine does falls on both. */
const beside = (
  what: string,
  limit: number,
  { work, runs = RUNS, warmUp = WARM_UP }: { work: () => unknown; runs?: number; warmUp?: number },
): Row => {
  for (let i = 0; i < warmUp; i += 1) {
    work();
    baseline();
  }
  const both = Array.from({ length: runs }, () => ({ work: time(work), plain: time(baseline) }));
  return { what, ms: median(both.map(b => b.work)), plain: median(both.map(b => b.plain)), limit };
};

const planned = (input: PlanInput) => {
  const plan = makePlan(input);
  if (!plan.ok) throw new Error(JSON.stringify(plan.issues));
  return plan.value;
};

const forms = FORM_KINDS.map(kind => {
  const input = newPlan(kind);
  return beside(`plan: ${kind.title}`, 4, { work: () => planned(input) });
});
/** The plan of a traced outline of 500 points, and the same sum done plainly with the polygon library: grown by the ease, then by the fold-over. */
const FIVE_HUNDRED = wavy(500);
const traced = setOutline({ ...newPlan(freeEnvelope) }, FIVE_HUNDRED);
const tracedPlan = beside('plan of an outline of 500 points', 2, { work: () => planned(traced) });
const plainly = beside('  the same areas by the polygon library alone', Infinity, {
  work: () => {
    const { measures } = traced.form;
    const box = boundsOf(FIVE_HUNDRED.points);
    const by = {
      x: (measures['length'] ?? 0) / (box.maxX - box.minX),
      y: (measures['width'] ?? 0) / (box.maxY - box.minY),
    };
    const finished = inflatePathsD(
      [scalePoints(FIVE_HUNDRED.points, by)],
      measures['ease'] ?? 0,
      JoinType.Round,
      EndType.Polygon,
      2,
      OFFSET_DECIMALS,
      OFFSET_ARC_MM,
    );
    const { along, across } = traced.shrinkage;
    const laid = finished.map(f => scalePoints(f, { x: 1 / (1 - along), y: 1 / (1 - across) }));
    const faces = [0, 1].map(() =>
      inflatePathsD(
        laid,
        traced.foldOverMm,
        JoinType.Round,
        EndType.Polygon,
        2,
        OFFSET_DECIMALS,
        OFFSET_ARC_MM,
      ),
    );
    return faces.map(areaPathsD);
  },
});
const byWeight = {
  ...traced,
  pinned: ['grams'],
  given: ['shrinkage', 'layers', 'thickness', 'firmness'],
  chain: { ...traced.chain, grams: 60 },
} satisfies PlanInput;
const sized = beside('  its size found from the wool there is', 20, { work: () => planned(byWeight) });
const dragged = setOutline({ ...newPlan(freeEnvelope) }, THOUSAND);
const finenessMm = draggedFineness(planned(dragged));
let step = 0;
const drag = beside('one step of dragging a point of 1000: outline, plan, drawing', 16, {
  work: () => {
    step += 1;
    const moved = movePoint(THOUSAND, 250, { x: 0, y: 135 + (step % 20) });
    const plan = makePlan(setOutline(dragged, moved), { finenessMm });
    if (!plan.ok) throw new Error(JSON.stringify(plan.issues));
    const scene = pieceScene(plan.value.form, { foldOverMm: 15 });
    return scene.shapes.map(s => svgPathData(s.points, s.closed, 2));
  },
});

const fontFile = createRequire(import.meta.url).resolve(
  '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
);
const fontBase64 = readFileSync(fontFile).toString('base64');
const large = newPlan(rectangle, {
  offer: { title: '', purpose: '', measures: { length: 1000, width: 700, strip: 0 } },
});
const template = makeTemplate(planned(large), {
  name: 'Large',
  date: '2026-01-01',
  foldOverMm: 0,
  pieces: 1,
  units: 'metric',
});
const sheets = planSheets(template.box, 'a4').sheets.length;
const pdf = beside(`PDF of ${sheets} sheets`, 2000, {
  runs: 5,
  warmUp: 1,
  work: () => templatePdf(template, { paper: 'a4', orientation: 'auto', fontBase64 }),
});

/** A log of sixty entries, with ten measurings, as the bench has it when a piece is nearly done. */
const record: FeltingRecord = {
  gaugesDeg: [0, 90, 90],
  intervals: Array.from({ length: 10 }, (_, k) => ({
    work: balancedWork(60),
    read: [0, 1, 2].map(g => -0.036 * (k + 1) + 0.008 * Math.sin(3 * k + g)),
  })),
  since: NO_WORK,
  belief: GENERAL_PRIOR,
  startSd: 0,
};
const update = beside('felting model: an update with 60 entries, 10 measurings, 3 lines', 20, {
  runs: 15,
  warmUp: 5,
  work: () => infer(record),
});
const asked = {
  targets: { wanted: [-0.4, -0.38, -0.38], tolerance: 0.03 },
  intensity: 1,
  hasDirections: true,
  pace: 'brisk',
} as const;
const proposed = beside('felting model: the update, ranges, and the next move', 200, {
  runs: 15,
  warmUp: 3,
  work: () => forecastPiece(record, asked),
});

const rows = [
  ...forms.toSorted((a, b) => b.ms - a.ms).slice(0, 5),
  tracedPlan,
  plainly,
  sized,
  drag,
  pdf,
  update,
  proposed,
];
console.log(
  `baseline: ${BASELINE_ROUNDS} areas of a 1000-point outline, ${median(rows.map(r => r.plain)).toFixed(2)} ms`,
);
console.log(
  `every form plans in ${Math.max(...forms.map(f => f.ms)).toFixed(2)} ms at most; the five slowest:`,
);
for (const r of rows)
  console.log(
    `${r.what.padEnd(62)} ${r.ms.toFixed(2).padStart(8)} ms  ${(r.ms / r.plain).toFixed(1).padStart(7)} × baseline  ${r.ms <= r.limit ? 'within' : 'OVER'} ${r.limit} ms`,
  );
process.exitCode = [...forms, tracedPlan, sized, drag, pdf, update, proposed].every(r => r.ms <= r.limit)
  ? 0
  : 1;
