import { describe, expect, it } from 'vitest';
import { reader, shrinkageReader } from './readers';

describe('reading a field', () => {
  const length = reader('length', 'metric', { min: 10, max: 5000 });

  it('takes either unit system and keeps mm', () => {
    expect(length('30.5')).toEqual({ ok: true, value: 305 });
    expect(length('1 ft')).toMatchObject({ ok: true, value: expect.closeTo(304.8, 9) });
  });

  it('says why it takes nothing', () => {
    expect(length('about thirty')).toMatchObject({ ok: false, why: expect.stringContaining('Try 30.5') });
    expect(length('0.2')).toEqual({ ok: false, why: 'From 1.0 cm to 500.0 cm.' });
    expect(length('−5').ok).toBe(false);
  });
});

describe('reading a shrinkage', () => {
  const read = shrinkageReader('metric');

  it('takes a loss', () => {
    expect(read('33')).toEqual({ ok: true, value: expect.closeTo(0.33, 12) });
    expect(read('33,5 %')).toEqual({ ok: true, value: expect.closeTo(0.335, 12) });
    expect(read('100').ok).toBe(false);
  });

  it('explains the sum that adds instead of dividing', () => {
    const answer = read('+30 %');
    expect(answer).toMatchObject({ ok: false, why: expect.stringContaining('0.91 of the target size') });
    expect(answer).toMatchObject({
      why: expect.stringContaining('divide by 0.70 instead of multiplying by 1.30'),
    });
    expect(read('+').ok).toBe(false);
  });
});
