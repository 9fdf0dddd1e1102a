import { describe, expect, it } from 'vitest';
import { makeHistory } from './history';

const bench = () => {
  const history = makeHistory();
  let value = 0;
  const change = (to: number, at: number, key?: string): void => {
    const from = value;
    value = to;
    history.push({
      label: `to ${to}`,
      at,
      ...(key ? { key } : {}),
      undo: async () => (value = from),
      redo: async () => (value = to),
    });
  };
  return { history, change, value: () => value };
};

describe('undo in a tab', () => {
  it('goes back and forth', async () => {
    const { history, change, value } = bench();
    change(1, 0);
    change(2, 10);
    expect(await history.undo()).toBe('to 2');
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

  it('forgets what was undone when something new is done', async () => {
    const { history, change, value } = bench();
    change(1, 0);
    await history.undo();
    change(5, 10);
    expect(await history.redo()).toBeNull();
    expect(value()).toBe(5);
  });
});
