// npm run bench: how long plans, a drag, forty sheets and the felting model take: some beside a plain baseline run in turn, what is held to
// a limit where it ships in a worker of the browser.
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { forecastPiece } from '../src/core/felting/forecastPiece';
import { freeEnvelope } from '../src/core/forms/kinds/freeEnvelope';
import { rectangle } from '../src/core/forms/kinds/rectangle';
import { FORM_KINDS } from '../src/core/forms/kinds/registry';
import { draggedFineness } from '../src/core/plan/whileEditing';
import { movePoint } from '../src/core/outline/edit';
import { polygonArea } from '../src/core/outline/polygon';
import { makePlan } from '../src/core/plan/makePlan';
import { newPlan } from '../src/core/plan/newPlan';
import type { PlanInput } from '../src/core/plan/planInput';
import { setOutline } from '../src/core/plan/setLink';
import { svgPathData } from '../src/drawing/pathSink';
import { pieceScene } from '../src/drawing/scene';
import { makeTemplate } from '../src/drawing/template';
import { planSheets } from '../src/drawing/sheets';
import { templatePdf } from '../src/files/templatePdf';
import { timesInBrowser } from './benchInBrowser';
import { planned, record, traced, wavy } from './benchWorks';

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

const forms = FORM_KINDS.map(kind => {
  const input = newPlan(kind);
  return beside(`plan: ${kind.title}`, 4, { work: () => planned(input) });
});
const byWeight = {
  ...traced,
  pinned: ['grams'],
  given: ['shrinkage', 'layers', 'thickness', 'firmness'],
  chain: { ...traced.chain, grams: 60 },
} satisfies PlanInput;
const sized = beside('plan of an outline of 500 points, its size found from its wool', 20, {
  work: () => planned(byWeight),
});
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
const pdf = beside(`PDF of ${sheets} sheets`, 1000, {
  runs: 5,
  warmUp: 1,
  work: () => templatePdf(template, { paper: 'a4', orientation: 'auto', fontBase64 }),
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

/** What is held to a limit where it ships: as it is built, in a worker of the browser. */
const IN_BROWSER = [
  { work: 'plan', what: 'plan of an outline of 500 points', limit: 2, runs: 200, warmUp: 100 },
  {
    work: 'plainly',
    what: '  the same areas by the polygon library alone',
    limit: Infinity,
    runs: 100,
    warmUp: 30,
  },
  {
    work: 'update',
    what: 'felting model: an update with 60 entries, 10 measurings, 3 lines',
    limit: 20,
    runs: 50,
    warmUp: 5,
  },
] as const;
const inBrowser = await timesInBrowser(IN_BROWSER);

const rows = [...forms.toSorted((a, b) => b.ms - a.ms).slice(0, 5), sized, drag, pdf, proposed];
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
if (inBrowser === null) console.log('There is no browser to time the rest in.');
const there = IN_BROWSER.map(({ what, limit }, i) => ({ what, limit, ms: median(inBrowser?.[i] ?? []) }));
for (const { what, limit, ms } of inBrowser === null ? [] : there)
  console.log(
    `${what.padEnd(62)} ${ms.toFixed(2).padStart(8)} ms  in a worker of the browser  ${ms <= limit ? 'within' : 'OVER'} ${limit} ms`,
  );
process.exitCode = [...forms, sized, drag, pdf, proposed, ...there].every(r => r.ms <= r.limit) ? 0 : 1;
