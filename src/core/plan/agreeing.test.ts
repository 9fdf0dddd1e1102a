import { describe, expect, it } from 'vitest';
import { linksOf } from '../chain/quantities';
import { solveChain } from '../chain/solveChain';
import { seeded } from '../numeric/random';
import { FORM_KINDS } from '../forms/kinds/registry';
import { chainContext, formLayer } from './chainOfPlan';
import { makePlan } from './makePlan';
import { newPlan } from './newPlan';
import { tries } from '../numeric/testing/tries';

const random = seeded(5);

/** Figures of one real plan of a random form, and some of them picked as pins, the shrinkage never among them. */
const oneCase = () => {
  const kind = FORM_KINDS[Math.floor(random() * FORM_KINDS.length)] ?? FORM_KINDS[0];
  if (!kind) throw new Error('no form');
  const along = 0.1 + 0.45 * random();
  const across = Math.min(0.7, along * (0.8 + 0.4 * random()));
  const input = newPlan(kind, { shrinkage: { along, across } });
  const made = makePlan(input);
  const values = made.ok && made.value.solution.status === 'solved' ? made.value.solution.values : null;
  const lay = formLayer(kind, input, { wallMm: input.chain.thickness ?? kind.usual.thicknessMm });
  const ctx = chainContext(kind, input, lay);
  const links = linksOf(ctx.body).filter(l => l !== 'shrinkage');
  const count = 2 + Math.floor(random() * (links.length - 1));
  const picked = links
    .map(link => ({ link, order: random() }))
    .toSorted((a, b) => a.order - b.order)
    .slice(0, count)
    .map(p => p.link);
  return { kind: kind.kind, along, ctx, values, picked };
};
const DRAWN = tries(150, 400);
const CASES = Array.from({ length: DRAWN }, oneCase).filter(c => c.values !== null);

describe('pins that agree, the shrinkage left open', () => {
  it('are many', () => {
    expect(CASES.length).toBeGreaterThan(0.875 * DRAWN);
  });

  it('are never called disagreeing; where they tell the shrinkage, it is the one they were made with', () => {
    const told = CASES.flatMap(({ kind, along, ctx, values, picked }) => {
      const solution = solveChain(Object.fromEntries(picked.map(l => [l, values?.[l]])), ctx);
      const isWrong = solution.status === 'solved' && Math.abs(solution.values.shrinkage / along - 1) > 1e-4;
      return solution.status === 'disagree' || isWrong ? [`${kind}: ${picked.join(', ')}`] : [];
    });
    expect(told).toEqual([]);
  });

  it('and one of them moved by a tenth, they are told where all of them are held', () => {
    const told = CASES.filter(c => c.ctx.body === 'sheet').map(({ ctx, values }) => {
      const pins = Object.fromEntries(
        linksOf(ctx.body)
          .filter(l => l !== 'shrinkage')
          .map(l => [l, values?.[l]]),
      );
      const moved = { ...pins, thickness: (values?.thickness ?? 0) * 1.1 };
      return solveChain(moved, ctx).status;
    });
    expect(new Set(told)).toEqual(new Set(['disagree']));
  });
});
