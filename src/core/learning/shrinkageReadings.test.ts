import { describe, expect, it } from 'vitest';
import { shrinkageReadings } from './shrinkageReadings';

const piece = {
  id: 'p',
  name: 'Pad',
  woolId: 'fog',
  deletedAt: null,
  finishedAt: '2026-03-01',
  along: 0.325,
  across: 0.345,
};
const swatch = {
  id: 's',
  woolId: 'fog',
  deletedAt: null,
  laid: { along: 200, across: 200, grams: 8, layers: 4 },
  result: { along: 140, across: 150, grams: null, thicknessMm: null, finishedAt: '2026-03-01' },
};
const wools = [{ id: 'fog', fibre: 'Suffolk, carded' }];
const read = (more: Parameters<typeof shrinkageReadings>[0]) => shrinkageReadings(more);

describe('what was finished says how its wool shrinks', () => {
  it('pieces as they came out, swatches by their square, with what is known of the fibre', () => {
    expect(read({ pieces: [piece], swatches: [swatch], wools })).toEqual([
      expect.objectContaining({
        id: 'p',
        breedId: 'suffolk',
        felts: 'hardly',
        along: 0.325,
        across: 0.345,
      }),
      expect.objectContaining({
        id: 's',
        isSwatch: true,
        along: expect.closeTo(0.3, 9),
        across: expect.closeTo(0.25, 9),
      }),
    ]);
  });

  it('nothing that is deleted, unfinished, of no wool, or not measured', () => {
    const unfinished = { ...piece, finishedAt: null };
    const unmeasured = { ...piece, along: null, across: null };
    const pieces = [
      unfinished,
      unmeasured,
      { ...piece, woolId: null },
      { ...piece, deletedAt: '2026-03-02' },
    ];
    expect(read({ pieces, swatches: [{ ...swatch, deletedAt: '2026-03-02' }], wools })).toEqual([]);
  });
});
