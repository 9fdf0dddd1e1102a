import { describe, expect, it } from 'vitest';
import { localDay } from './clock';

describe('the day of a stored time', () => {
  it('is the one on the felter’s wall, whatever it is in Greenwich', () => {
    expect(localDay(new Date(2026, 2, 1, 0, 5).toISOString())).toBe('2026-03-01');
    expect(localDay(new Date(2026, 11, 31, 23, 55).toISOString())).toBe('2026-12-31');
  });
});
