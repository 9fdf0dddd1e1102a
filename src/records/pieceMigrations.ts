import { CHAIN_LIMITS } from '../core/chain/limits';
import { LIMITS } from '../core/limits';
import type { FIBRE_LAYS, LAY_ORDERS } from '../core/wool/layOrder';
import { isObject, type Migration } from './migrate';
import { withinLimits } from './withinLimits';

type LayOrder = (typeof LAY_ORDERS)[number];
type FibreLay = (typeof FIBRE_LAYS)[number];

/** Until version 2 a bottle sleeve and a cosy had their wall height for a size; since then, the whole length on the wall. */
const LENGTH_ON_WALL: ReadonlyMap<string, (m: Record<string, number>) => number> = new Map([
  [
    'bottle-sleeve',
    m => (m['body'] ?? 0) / (2 * Math.PI) + (m['height'] ?? 0) + (m['shoulder'] ?? 0) + (m['collar'] ?? 0),
  ],
  ['cosy', m => (m['crown'] ?? 0) + (m['height'] ?? 0)],
]);

const numbers = (raw: unknown): Record<string, number> =>
  isObject(raw)
    ? Object.fromEntries(Object.entries(raw).filter((e): e is [string, number] => typeof e[1] === 'number'))
    : {};

/** One piece, measured inside, of a form without allowances: what every plan was before these could be said. */
const addPiecesOutlineAndEase = (old: Record<string, unknown>): Record<string, unknown> => {
  const plan = isObject(old['plan']) ? old['plan'] : {};
  const form = isObject(plan['form']) ? plan['form'] : {};
  const kind = String(form['kind']);
  const measures = numbers(form['measures']);
  const added: Record<string, number> = LENGTH_ON_WALL.has(kind)
    ? { ease: 0 }
    : kind === 'disc'
      ? { over: 0 }
      : {};
  const chain = numbers(plan['chain']);
  const length = LENGTH_ON_WALL.get(kind)?.(measures);
  const { laidSize } = chain;
  const longer =
    length === undefined || laidSize === undefined || !measures['height']
      ? {}
      : { laidSize: (laidSize * length) / measures['height'] };
  return {
    ...old,
    plan: {
      ...plan,
      pieces: 1,
      chain: { ...chain, ...longer },
      form: { ...form, measures: { ...measures, ...added }, outline: null, measuredOn: 'inside' },
    },
  };
};

/** All layers of a face, each across the one before: common practice, and what every piece was before it could be said. */
export const USUAL_LAYING: {
  order: LayOrder;
  fibres: FibreLay;
  decorations: never[];
} = { order: 'all', fibres: 'crossed', decorations: [] };

/** What was laid beside the layers was of no wool on the shelf, and not weighed. */
const addWoolOfDecorations = (old: Record<string, unknown>): Record<string, unknown> => {
  const laying = isObject(old['laying']) ? old['laying'] : {};
  const decorations = Array.isArray(laying['decorations']) ? laying['decorations'] : [];
  return {
    ...old,
    laying: {
      ...laying,
      decorations: decorations.map(d => (isObject(d) ? { ...d, woolId: null, grams: null } : d)),
    },
  };
};

/** A measure that some forms had not yet: 0 in every piece of before. */
const addMeasure =
  (kinds: readonly string[], measure: string) =>
  (old: Record<string, unknown>): Record<string, unknown> => {
    const plan = isObject(old['plan']) ? old['plan'] : {};
    const form = isObject(plan['form']) ? plan['form'] : {};
    if (!kinds.includes(String(form['kind']))) return old;
    const measures = isObject(form['measures']) ? form['measures'] : {};
    return { ...old, plan: { ...plan, form: { ...form, measures: { [measure]: 0, ...measures } } } };
  };

export const PIECE_MIGRATIONS: readonly Migration[] = [
  { version: 2, name: 'AddPiecesOutlineAndEase', up: addPiecesOutlineAndEase },
  { version: 3, name: 'AddLayingAndColours', up: old => ({ ...old, laying: USUAL_LAYING, colours: [] }) },
  { version: 4, name: 'AddWoolOfDecorations', up: addWoolOfDecorations },
  { version: 5, name: 'AddRecipe', up: old => ({ ...old, recipe: null }) },
  {
    version: 6,
    name: 'KeepWithinLimits',
    up: old =>
      withinLimits(old, {
        revision: LIMITS.olderCount,
        'plan.form.measures.*': LIMITS.measure,
        ...Object.fromEntries(
          Object.entries(CHAIN_LIMITS).map(([link, limit]) => [`plan.chain.${link}`, limit]),
        ),
        'result.readings.*': LIMITS.readingMm,
        'result.grams': LIMITS.weighedG,
        'result.thicknessMm': LIMITS.thicknessMm,
      }),
  },
  { version: 7, name: 'AddCapToDropsAndEggs', up: addMeasure(['drop', 'egg'], 'over') },
  { version: 8, name: 'AddFoldedEdges', up: addMeasure(['cone', 'flap-pocket'], 'hem') },
  { version: 9, name: 'AddWayAndJudge', up: old => ({ ...old, way: null, judge: 'tape' }) },
  {
    version: 10,
    name: 'AddHabitsAndClothAsCut',
    up: old => ({ ...addMeasure(['nuno'], 'as')(old), habits: {} }),
  },
  {
    version: 11,
    name: 'AddFinishingAfterSwatchAndFit',
    up: old => ({
      ...old,
      finishing: null,
      after: null,
      swatchOf: null,
      result: { ...(isObject(old['result']) ? old['result'] : {}), fit: null },
    }),
  },
];
