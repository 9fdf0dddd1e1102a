import { describe, expect, it } from 'vitest';
import { laySteps } from './layOrder';
import { layProgress, wettedWhileLaid, WHOLE_LAYING } from './layProgress';

const steps = (layers: number) => laySteps({ faces: 2, layers, order: 'all' });
const first = (n: number): string[] =>
  steps(2)
    .slice(0, n)
    .map(s => s.id);

describe('laying', () => {
  it('goes step by step; one left out counts as settled', () => {
    expect(layProgress(steps(2), [])).toMatchObject({ done: 0, of: 12, next: { act: 'lay', layer: 1 } });
    expect(layProgress(steps(2), first(3)).next).toMatchObject({ act: 'cover', face: 1 });
    expect(layProgress(steps(2), first(12))).toMatchObject({ done: 12, next: null });
  });

  it('brings back a layer that the plan got later, and forgets one it lost', () => {
    const twoLaid = first(3);
    expect(layProgress(steps(3), twoLaid).next).toMatchObject({ act: 'lay', layer: 3, face: 1 });
    expect(layProgress(steps(1), twoLaid)).toMatchObject({ done: 2, next: { act: 'cover' } });
  });

  it('wets the faces whose wetting was done, not left out', () => {
    const tick = (step: string, how: 'done' | 'skipped' = 'done') => ({ step, how });
    expect(
      wettedWhileLaid([tick('wet.1.r1'), tick('wet.1.r2'), tick('wet.2.r1', 'skipped'), tick('all')]),
    ).toEqual([1]);
  });

  it('may be done without ticking', () => {
    expect(layProgress(steps(2), [WHOLE_LAYING])).toEqual({ next: null, done: 12, of: 12 });
  });
});
