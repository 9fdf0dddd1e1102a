import type { Act, RollDirection } from '../core/cycles/entry';
import { bottleSleeve } from '../core/forms/bottleSleeve';
import { cosy } from '../core/forms/cosy';
import { disc } from '../core/forms/disc';
import type { FormKind, Gauge, Measures } from '../core/forms/formKind';
import { girthStations } from '../core/forms/girthStations';
import { rectangle } from '../core/forms/rectangle';
import { makePlan, type Plan } from '../core/plan/makePlan';
import type { PlanInput } from '../core/plan/planInput';
import type { Entry } from '../records/entry';
import { newPiece, newPlan, type Piece } from '../records/piece';
import type { Snapshot } from '../records/snapshot';
import { newWool, type Wool } from '../records/wool';

const HOUR = 3_600_000;
const at = (now: string, hoursAgo: number): string =>
  new Date(Date.parse(now) - hoursAgo * HOUR).toISOString();

/** The shelf of the made-up workshop at Sluice Steps. Every name and figure here is invented. */
const shelf = (now: string): readonly Wool[] => {
  const wool = (
    id: string,
    rest: Pick<Wool, 'name' | 'fibre' | 'form' | 'colour' | 'gramsLeft' | 'notes'>,
  ): Wool => ({ ...newWool({ id, now: at(now, 2000), ...rest }), ...rest, sample: true });
  return [
    wool('wool-kelp', {
      name: 'Kelp, carded batt',
      fibre: 'Corriedale',
      form: 'batt',
      colour: '#4f6b4a',
      gramsLeft: 640,
      notes: 'Quick to lay, the same every way.',
    }),
    wool('wool-brick', {
      name: 'Brick, combed tops',
      fibre: 'fine merino',
      form: 'tops',
      colour: '#a8442f',
      gramsLeft: 310,
      notes: 'Splits thin. Static in dry air.',
    }),
    wool('wool-harbour', {
      name: 'Harbour blue, carded batt',
      fibre: 'Corriedale',
      form: 'batt',
      colour: '#2f5d86',
      gramsLeft: 85,
      notes: 'Last of this dye lot.',
    }),
    wool('wool-oat', {
      name: 'Oat, undyed batt',
      fibre: 'mixed hill fleece',
      form: 'batt',
      colour: '#cdbf9f',
      gramsLeft: 1450,
      notes: 'Coarse; for the inside and for pads.',
    }),
  ];
};

/** A sample reading: shrinkage so far, along and across, as a tape would read it in whole millimetres. */
const reading = (gauges: readonly Gauge[], along: number, across: number): Record<string, number> =>
  Object.fromEntries(
    gauges.map(g => [g.id, Math.round(g.laidMm * (1 - (g.directionDeg === 0 ? along : across)))]),
  );

type Step = Act | ((gauges: readonly Gauge[]) => Act);

type Cushion = 'bubble' | 'mat' | 'bare';
const roll = (
  directionDeg: RollDirection,
  rolls: number,
  { face = 1, cushion = 'bubble' }: { face?: number; cushion?: Cushion } = {},
): Act => ({
  kind: 'roll',
  face,
  directionDeg,
  rolls,
  cushion,
  pressure: 'arms',
});
const wet = (face: number): Act => ({ kind: 'wet', face, water: 'hot' });
const rub = (face: number, count = 40): Act => ({ kind: 'rub', face, count });
const measure =
  (along: number, across: number): Step =>
  gauges => ({ kind: 'measure', readings: reading(gauges, along, across) });
const pinch = (grade: 0 | 1 | 2 | 3): Act => ({ kind: 'pinch', grade });
/** Both directions, on each face. */
const round = (rolls: number, faces: readonly number[], cushion: Cushion = 'bubble'): Act[] =>
  faces.flatMap(f => [roll(0, rolls, { face: f, cushion }), roll(90, rolls, { face: f, cushion })]);

interface SamplePiece {
  readonly id: string;
  readonly name: string;
  readonly kind: FormKind;
  readonly measures?: Measures;
  readonly woolId: string;
  readonly change?: Partial<PlanInput>;
  readonly hoursAgo: number;
  readonly notes?: string;
  readonly steps?: readonly Step[];
  /** How it came out, for those that are finished: shrinkage each way, share of the wool kept, firmness. */
  readonly dry?: {
    readonly along: number;
    readonly across: number;
    readonly kept: number;
    readonly thicknessMm: number;
  };
}

const ONE = [1];
const TWO = [1, 2];

const PIECES: readonly SamplePiece[] = [
  {
    id: 'sample-ferry-pad',
    name: 'Seat pad for the ferry bench',
    kind: disc,
    measures: { diameter: 380, strip: 0 },
    woolId: 'wool-oat',
    hoursAgo: 700,
    notes: 'Came out a little long. Four more rounds on the bare mat next time.',
    steps: [
      wet(1),
      rub(1),
      rub(1),
      pinch(2),
      ...round(60, ONE),
      measure(0.06, 0.05),
      ...round(100, ONE),
      measure(0.17, 0.15),
      ...round(100, ONE, 'mat'),
      ...round(60, ONE, 'bare'),
      measure(0.29, 0.27),
      pinch(3),
      { kind: 'throw', count: 24 },
      measure(0.31, 0.29),
    ],
    dry: { along: 0.315, across: 0.296, kept: 0.965, thicknessMm: 7.4 },
  },
  {
    id: 'sample-brick-sleeve',
    name: 'Brick bottle sleeve',
    kind: bottleSleeve,
    woolId: 'wool-brick',
    hoursAgo: 420,
    change: { shrinkage: { along: 0.36, across: 0.33 } },
    notes: 'Good on the flask. Shoulder was thin: more wool there.',
    steps: [
      wet(1),
      wet(2),
      rub(1),
      rub(2),
      pinch(2),
      ...round(50, TWO),
      measure(0.08, 0.07),
      ...round(60, TWO),
      measure(0.21, 0.19),
      ...round(60, TWO, 'mat'),
      measure(0.31, 0.29),
      pinch(3),
      { kind: 'throw', count: 24 },
      { kind: 'shock', rounds: 2 },
      measure(0.36, 0.34),
    ],
    dry: { along: 0.364, across: 0.338, kept: 0.97, thicknessMm: 3.6 },
  },
  {
    id: 'sample-kelp-cosy',
    name: 'Kelp cosy, four cups',
    kind: cosy,
    measures: { girth: 540, crown: 130, height: 110, hem: 580 },
    woolId: 'wool-kelp',
    hoursAgo: 5,
    steps: [
      wet(1),
      wet(2),
      rub(1),
      rub(2),
      pinch(1),
      rub(1),
      rub(2),
      pinch(2),
      ...round(50, TWO),
      measure(0.09, 0.08),
      ...round(40, TWO),
      roll(0, 30, { face: 1 }),
      roll(90, 30, { face: 1 }),
      measure(0.2, 0.17),
      roll(0, 30, { face: 2 }),
      roll(90, 30, { face: 2 }),
    ],
  },
  {
    id: 'sample-square-pad',
    name: 'Square pad, second of a pair',
    kind: rectangle,
    measures: { length: 400, width: 400, strip: 0 },
    woolId: 'wool-oat',
    hoursAgo: 30,
    change: { shrinkage: { along: 0.31, across: 0.29 }, chain: { layers: 6, thickness: 7, firmness: 0.24 } },
    notes: '',
    steps: [
      wet(1),
      rub(1),
      rub(1),
      pinch(2),
      roll(0, 100),
      roll(90, 60),
      measure(0.07, 0.05),
      roll(0, 120),
      roll(90, 60),
      roll(0, 60),
      measure(0.22, 0.12),
    ],
  },
  {
    id: 'sample-lamp-band',
    name: 'Lamp band for the loft',
    kind: rectangle,
    measures: { length: 620, width: 190, strip: 12 },
    woolId: 'wool-harbour',
    hoursAgo: 2,
    change: { shrinkage: { along: 0.28, across: 0.28 }, chain: { layers: 4, thickness: 3, firmness: 0.18 } },
    steps: [wet(1), rub(1)],
  },
  {
    id: 'sample-boot-liner',
    name: 'Boot liner, left leg',
    kind: girthStations,
    measures: {
      along1: 0,
      girth1: 200,
      along2: 60,
      girth2: 290,
      along3: 150,
      girth3: 300,
      along4: 260,
      girth4: 250,
      along5: 380,
      girth5: 330,
    },
    woolId: 'wool-kelp',
    hoursAgo: 20,
    change: {
      shrinkage: { along: 0.38, across: 0.35 },
      foldOverMm: 20,
      chain: { layers: 4, thickness: 5, firmness: 0.24 },
    },
  },
  {
    id: 'sample-press-cosy',
    name: 'Cosy for the small press',
    kind: cosy,
    measures: { girth: 330, crown: 70, height: 150, hem: 330 },
    woolId: 'wool-brick',
    hoursAgo: 1,
    change: { chain: { layers: 3, thickness: 4, firmness: 0.2 } },
  },
];

const planOf = (sample: SamplePiece): PlanInput => {
  const base = newPlan(sample.kind);
  return {
    ...base,
    ...sample.change,
    form: { kind: sample.kind.kind, measures: sample.measures ?? sample.kind.defaults },
  };
};

const resultOf = (sample: SamplePiece, plan: Plan, now: string): Piece['result'] => {
  if (!sample.dry) return { readings: {}, grams: null, thicknessMm: null, finishedAt: null };
  const { along, across, kept, thicknessMm } = sample.dry;
  return {
    readings: reading(plan.form.gauges, along, across),
    grams: Math.round((plan.weigh?.total ?? 0) * kept),
    thicknessMm,
    finishedAt: at(now, sample.hoursAgo - 40),
  };
};

const logOf = (sample: SamplePiece, plan: Plan, now: string): Entry[] =>
  (sample.steps ?? []).map((step, i) => ({
    kind: 'entry',
    version: 1,
    id: `${sample.id}-${i + 1}`,
    pieceId: sample.id,
    seq: i + 1,
    at: at(now, sample.hoursAgo - 0.06 * i),
    act: typeof step === 'function' ? step(plan.form.gauges) : step,
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
  return { pieces: made.map(m => m.piece), wools: shelf(now), entries: made.flatMap(m => m.entries) };
};
