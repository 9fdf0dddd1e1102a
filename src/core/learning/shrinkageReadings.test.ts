import { describe, expect, it } from 'vitest';
import { PAD } from '../plan/testing/pad';
import { shrinkageReadings } from './shrinkageReadings';

const piece = {
  id: 'p',
  name: 'Pad',
  woolId: 'fog',
  deletedAt: null,
  plan: PAD,
  result: { readings: { A: 403, B: 391 }, grams: null, thicknessMm: null, finishedAt: '2026-03-01' },
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
  it('pieces by their dry lines against the laid 597 mm, swatches by their square, with what is known of the fibre', () => {
    expect(read({ pieces: [piece], swatches: [swatch], wools })).toEqual([
      expect.objectContaining({
        id: 'p',
        breedId: 'suffolk',
        felts: 'hardly',
        along: expect.closeTo(0.32498, 4),
        across: expect.closeTo(0.34508, 4),
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
    const unfinished = { ...piece, result: { ...piece.result, finishedAt: null } };
    const unmeasured = { ...piece, result: { ...piece.result, readings: {} } };
    const pieces = [
      unfinished,
      unmeasured,
      { ...piece, woolId: null },
      { ...piece, deletedAt: '2026-03-02' },
    ];
    expect(read({ pieces, swatches: [{ ...swatch, deletedAt: '2026-03-02' }], wools })).toEqual([]);
  });
});
