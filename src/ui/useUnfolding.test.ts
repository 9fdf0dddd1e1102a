import { describe, expect, it } from 'vitest';
import { placeBy } from './useUnfolding';

const WINDOW = { width: 400, height: 300 };
const box = (left: number, top: number) => ({ left, right: left + 28, top, bottom: top + 28 });
const at = (left: number, top: number, align: 'middle' | 'end', sheet = { width: 100, height: 60 }) =>
  placeBy(box(left, top), align, { sheet, window: WINDOW });

describe('what is unfolded', () => {
  it('lies below its button, in the middle or at the end of it', () => {
    expect(at(200, 50, 'middle')).toEqual({ left: 164, top: 82 });
    expect(at(200, 50, 'end')).toEqual({ left: 128, top: 82 });
  });

  it('lies above where there is no room below, and never beyond the window', () => {
    expect(at(200, 250, 'middle')).toEqual({ left: 164, top: 186 });
    expect(at(0, 50, 'middle').left).toBe(8);
    expect(at(380, 50, 'middle').left).toBe(292);
    // Longer than either: from the top, and it scrolls.
    expect(at(200, 250, 'middle', { width: 100, height: 284 }).top).toBe(8);
    // Wider than the window: its beginning is seen.
    expect(at(200, 50, 'middle', { width: 500, height: 60 }).left).toBe(8);
  });
});
