import { describe, expect, it } from 'vitest';
import { afterwards, doNow } from './afterwards';

const aMoment = (ms: number = 5) => new Promise(resolve => setTimeout(resolve, ms));

describe('what follows from a key or a tap', () => {
  it('is done by itself, after what called for it, in its order', async () => {
    const done: string[] = [];
    afterwards(() => done.push('first'));
    afterwards(() => done.push('second'));
    expect(done).toEqual([]);
    await aMoment();
    expect(done).toEqual(['first', 'second']);
  });

  it('is done now when the next tap comes, with what follows from it, and not once more', async () => {
    const done: string[] = [];
    afterwards(() => {
      done.push('typed');
      afterwards(() => done.push('kept'));
    }, 60_000);
    afterwards(() => done.push('chosen'));
    doNow();
    expect(done).toEqual(['typed', 'chosen', 'kept']);
    await aMoment();
    expect(done).toHaveLength(3);
  });

  it('is taken back where more of the same comes', async () => {
    const done: string[] = [];
    const takeBack = afterwards(() => done.push('3'));
    takeBack();
    afterwards(() => done.push('30'));
    await aMoment();
    doNow();
    expect(done).toEqual(['30']);
  });

  it('goes on after one that throws', () => {
    const done: string[] = [];
    afterwards(() => {
      throw new Error('refused');
    });
    afterwards(() => done.push('next'));
    expect(doNow).toThrow('refused');
    expect(done).toEqual(['next']);
  });
});
