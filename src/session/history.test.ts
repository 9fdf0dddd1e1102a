import { describe, expect, it } from 'vitest';
import { makeHistory } from './history';

const bench = () => {
  const history = makeHistory();
  let value = 0;
  const change = (to: number, at: number, key?: string): void => {
    const from = value;
    value = to;
    const set = async (next: number): Promise<number> => {
      value = next;
      return 0;
    };
    const step = (origin: number): Parameters<typeof history.push>[0] => ({
      label: `to ${to}`,
      at,
      ...(key ? { key } : {}),
      undo: () => set(origin),
      redo: () => set(to),
      after: earlier => ({ ...step(origin), undo: earlier.undo }),
    });
    history.push(step(from));
  };
  return { history, change, value: () => value };
};

describe('undo in a tab', () => {
  it('goes back and forth', async () => {
    const { history, change, value } = bench();
    change(1, 0);
    change(2, 10);
    expect(await history.undo()).toEqual({ label: 'to 2', overtaken: 0 });
    expect(value()).toBe(1);
    await history.undo();
    expect(value()).toBe(0);
    expect(await history.undo()).toBeNull();
    await history.redo();
    await history.redo();
    expect(value()).toBe(2);
    expect(await history.redo()).toBeNull();
  });

  it('takes typing in one field as one step, and a pause as two', async () => {
    const { history, change, value } = bench();
    change(4, 0, 'size');
    change(40, 300, 'size');
    change(400, 600, 'size');
    change(410, 5000, 'size');
    await history.undo();
    expect(value()).toBe(400);
    await history.undo();
    expect(value()).toBe(0);
  });

  it('forgets what was undone when something new is done, and a step that was not kept', async () => {
    const { history, change, value } = bench();
    change(1, 0);
    await history.undo();
    change(5, 10);
    expect(await history.redo()).toBeNull();
    expect(value()).toBe(5);
    const [step] = history.get().done;
    if (step) history.drop(step);
    expect(await history.undo()).toBeNull();
  });
});
