import { makePlan, type Plan } from '../core/plan/makePlan';
import { dryLines } from '../core/plan/outcome';
import type { PlanInput } from '../core/plan/planInput';
import { ENTRY_VERSION, type Entry } from '../records/entry';
import { newPlan } from '../core/plan/newPlan';
import { newPiece, type Piece } from '../records/piece';
import type { Snapshot } from '../records/snapshot';
import { newRecipe, type OwnRecipe } from '../records/recipe';
import { newSwatch, type Swatch } from '../records/swatch';
import { newPart, type Part } from '../records/part';
import { newProject, type Project } from '../records/project';
import { PROJECT_KINDS } from '../core/project/projectKinds';
import { newWool, type Wool } from '../records/wool';
import { PIECES, type SamplePiece } from './samplePieces';
import { sampleTrade } from './sampleTrade';
import { reading } from './steps';

const HOUR = 3_600_000;
const at = (now: string, hoursAgo: number): string =>
  new Date(Date.parse(now) - hoursAgo * HOUR).toISOString();

/** The shelf of the made-up workshop at Sluice Steps. Every name and figure here is invented. */
const shelf = (now: string): readonly Wool[] => {
  const wool = (
    id: string,
    rest: Pick<Wool, 'name' | 'fibre' | 'form' | 'colour' | 'gramsCounted' | 'notes'> & Partial<Wool>,
  ): Wool => ({
    ...newWool({ id, now: at(now, 2000), ...rest }),
    countedAt: at(now, 900),
    ...rest,
    sample: true,
  });
  return [
    wool('wool-kelp', {
      name: 'Kelp, carded batt',
      fibre: 'Corriedale',
      form: 'batt',
      colour: '#4f6b4a',
      gramsCounted: 640,
      micron: 28,
      per100g: 3.2,
      notes: 'Quick to lay, the same every way.',
    }),
    wool('wool-brick', {
      name: 'Brick, combed tops',
      fibre: 'fine merino',
      form: 'tops',
      colour: '#a8442f',
      gramsCounted: 310,
      micron: 20,
      per100g: 6.4,
      notes: 'Splits thin. Static in dry air.',
    }),
    wool('wool-harbour', {
      name: 'Harbour blue, carded batt',
      fibre: 'Corriedale',
      form: 'batt',
      colour: '#2f5d86',
      gramsCounted: 85,
      notes: 'Last of this dye lot.',
    }),
    wool('wool-oat', {
      name: 'Oat, undyed batt',
      fibre: 'mixed hill fleece',
      form: 'batt',
      colour: '#cdbf9f',
      gramsCounted: 1450,
      per100g: 1.9,
      notes: 'Coarse; for the inside and for pads.',
    }),
    wool('wool-fog', {
      name: 'Fog, carded batt',
      fibre: 'Suffolk',
      form: 'batt',
      colour: '#b9bfc2',
      gramsCounted: 260,
      notes: 'A gift. Not felted yet.',
    }),
    wool('wool-moth', {
      sort: 'decoration',
      name: 'Moth-wing silk',
      fibre: 'tussah silk',
      form: 'tops',
      colour: '#e2d2ac',
      gramsCounted: 45,
      per100g: 14,
      notes: '',
    }),
    wool('wool-gauze', {
      sort: 'cloth',
      name: 'Grey gauze',
      fibre: 'silk',
      form: 'prefelt',
      colour: '#8f969b',
      gramsCounted: 120,
      notes: '20 g/m², 1.1 m wide.',
    }),
  ];
};

/** Swatches of the made-up workshop. Every figure is invented. */
const swatches = (now: string): readonly Swatch[] => {
  const swatch = (id: string, woolId: string, of: Pick<Swatch, 'laid' | 'result'>): Swatch => ({
    ...newSwatch({ id, woolId, now: at(now, 1500) }),
    ...of,
    sample: true,
  });
  const done = { finishedAt: at(now, 1400) };
  return [
    swatch('swatch-kelp-1', 'wool-kelp', {
      laid: { along: 200, across: 200, grams: 10, layers: 4 },
      result: { along: 128, across: 132, grams: 9.7, thicknessMm: 3.1, ...done },
    }),
    swatch('swatch-brick-1', 'wool-brick', {
      laid: { along: 200, across: 200, grams: 8, layers: 4 },
      result: { along: 120, across: 124, grams: 7.8, thicknessMm: 2.6, ...done },
    }),
    swatch('swatch-brick-2', 'wool-brick', {
      laid: { along: 200, across: 200, grams: 14, layers: 6 },
      result: { along: 131, across: 133, grams: 13.7, thicknessMm: 3.9, ...done },
    }),
    swatch('swatch-fog-1', 'wool-fog', {
      laid: { along: 200, across: 200, grams: 8, layers: 4 },
      result: { along: null, across: null, grams: null, thicknessMm: null, finishedAt: null },
    }),
  ];
};

/** A recipe of the made-up workshop's own. */
const recipes = (now: string): readonly OwnRecipe[] => [
  {
    ...newRecipe(
      {
        id: 'recipe-harbour',
        name: 'Harbour mats, firm',
        steps: [
          { id: 'harbour-1', act: 'wet', water: 'hot' },
          { id: 'harbour-2', act: 'rub', count: 60 },
          { id: 'harbour-3', act: 'pinch' },
          { id: 'harbour-4', act: 'roll', count: 100, cushion: 'bubble' },
          { id: 'harbour-5', act: 'measure' },
          { id: 'harbour-6', act: 'roll', count: 60, cushion: 'mat' },
          { id: 'harbour-7', act: 'measure' },
          { id: 'harbour-8', act: 'throw', count: 24 },
          { id: 'harbour-9', act: 'measure' },
          { id: 'harbour-10', act: 'rinse', water: 'warm' },
          { id: 'harbour-11', act: 'soak', minutes: 20, water: 'cold' },
          { id: 'harbour-12', act: 'dry', minutes: 1440 },
        ],
      },
      'sheet',
      at(now, 1600),
    ),
    sample: true,
  },
];

/** Parts of the made-up workshop. */
const parts = (now: string): readonly Part[] => {
  const part = (id: string, sort: Part['sort'], of: Partial<Part> & { readonly name: string }): Part => ({
    ...newPart({ id, sort, name: of.name, now: at(now, 900) }),
    countedAt: at(now, 900),
    sample: true,
    ...of,
  });
  return [
    part('part-cord', 'cord', { name: 'Tarred cord, thin', counted: 18, price: 0.35, sizeMm: 3 }),
    part('part-caps', 'cap', { name: 'Brass caps, small', counted: 6, price: 0.6, sizeMm: 9 }),
    part('part-backs', 'brooch back', { name: 'Brooch backs, steel', counted: 2, price: 0.25, sizeMm: 30 }),
    part('part-glue', 'glue', { name: 'Fabric glue', counted: 80, price: 0.08 }),
  ];
};

/** A project of the made-up workshop: more balls than are planned. */
const projects = (now: string): readonly Project[] => {
  const kind = PROJECT_KINDS.find(k => k.id === 'garland');
  if (!kind) return [];
  let n = 0;
  const newId = (): string => `project-garland${n++ === 0 ? '' : `-${n}`}`;
  const made = newProject(kind, { newId, now: at(now, 60) });
  return [
    {
      ...made,
      name: 'Garland for the boat shed',
      pieces: made.pieces.map(p => ({ ...p, count: 24, pieceId: 'sample-drum-balls' })),
      parts: made.parts.map(p => ({ ...p, count: 3, partId: 'part-cord' })),
      due: at(now, -14 * 24).slice(0, 10),
      sample: true,
    },
  ];
};

const planOf = (sample: SamplePiece): PlanInput => {
  const base = newPlan(sample.kind);
  return {
    ...base,
    ...sample.change,
    form: {
      ...base.form,
      measures: { ...sample.kind.defaults, ...sample.measures },
      outline: sample.outline ?? base.form.outline,
    },
  };
};

const resultOf = (sample: SamplePiece, plan: Plan, now: string): Piece['result'] => {
  if (!sample.dry) return { readings: {}, grams: null, thicknessMm: null, finishedAt: null, fit: null };
  const { along, across, kept, thicknessMm } = sample.dry;
  return {
    readings: reading(dryLines(plan.form, {}), along, across),
    grams: Math.round((plan.laidGramsEach ?? 0) * kept),
    thicknessMm,
    finishedAt: at(now, sample.hoursAgo - 40),
    fit: null,
  };
};

const logOf = (sample: SamplePiece, plan: Plan, now: string): Entry[] =>
  [
    ...(sample.steps ?? []).map(
      (step, i) =>
        [sample.hoursAgo - 0.06 * i, typeof step === 'function' ? step(plan.form.gauges) : step] as const,
    ),
    ...(sample.finish ?? []),
  ].map(([hoursAgo, act], i) => ({
    kind: 'entry',
    version: ENTRY_VERSION,
    id: `${sample.id}-${i + 1}`,
    pieceId: sample.id,
    seq: i + 1,
    at: at(now, hoursAgo),
    act,
  }));

/** The sample workshop as it stands at a time. Made up from end to end; every record is marked as sample. */
export const sampleWorkshop = (now: string): Snapshot => {
  const made = PIECES.map(sample => {
    const plan = makePlan(planOf(sample));
    if (!plan.ok) throw new Error(`The sample piece ${sample.id} does not plan.`);
    const piece: Piece = {
      ...newPiece({
        id: sample.id,
        name: sample.name,
        now: at(now, sample.hoursAgo + 3),
        plan: planOf(sample),
        woolId: sample.woolId,
        shrinkageFrom: sample.change?.shrinkage ? 'felter' : 'practice',
      }),
      sample: true,
      notes: sample.notes ?? '',
      result: resultOf(sample, plan.value, now),
    };
    return { piece, entries: logOf(sample, plan.value, now) };
  });
  return {
    records: [
      ...made.map(m => m.piece),
      ...shelf(now),
      ...swatches(now),
      ...recipes(now),
      ...parts(now),
      ...projects(now),
      ...sampleTrade(now, hoursAgo => at(now, hoursAgo)),
    ],
    entries: made.flatMap(m => m.entries),
    unread: [],
  };
};
