import { makePlan, type Plan } from '../core/plan/makePlan';
import type { PlanInput } from '../core/plan/planInput';
import type { Entry } from '../records/entry';
import { newPlan } from '../core/plan/newPlan';
import { newPiece, type Piece } from '../records/piece';
import type { Snapshot } from '../records/snapshot';
import { newWool, type Wool } from '../records/wool';
import { PIECES, type SamplePiece } from './samplePieces';
import { reading } from './steps';

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
  if (!sample.dry) return { readings: {}, grams: null, thicknessMm: null, finishedAt: null };
  const { along, across, kept, thicknessMm } = sample.dry;
  return {
    readings: reading(plan.form.gauges, along, across),
    grams: Math.round((plan.laidGramsEach ?? 0) * kept),
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
