// @vitest-environment happy-dom
import { act, cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { useGradually } from './useGradually';

afterEach(cleanup);

const aTask = () => act(() => new Promise(resolve => requestAnimationFrame(() => setTimeout(resolve, 2))));
const shown = (): string | null => screen.getByRole('paragraph').textContent;
const Parts = ({ value, parts = 3 }: { readonly value: string; readonly parts?: number }) => {
  const of = useGradually(value, parts);
  return <p>{Array.from({ length: parts }, (_, i) => of(i)).join(' ')}</p>;
};

describe('a new value for a view of several parts', () => {
  it('is whole when it is shown first, and comes part by part after that', async () => {
    const { rerender } = render(<Parts value="a" />);
    expect(shown()).toBe('a a a');
    rerender(<Parts value="b" />);
    expect(shown()).toBe('b a a');
    const seen = new Set([shown()]);
    for (let n = 0; n < 6; n += 1) {
      await aTask();
      seen.add(shown());
    }
    expect([...seen]).toEqual(['b a a', 'b b a', 'b b b']);
  });

  it('that is overtaken by a later one gives way to it in every part', async () => {
    const { rerender } = render(<Parts value="a" />);
    rerender(<Parts value="b" />);
    await aTask();
    rerender(<Parts value="c" />);
    expect(shown()?.startsWith('c')).toBe(true);
    for (let n = 0; n < 8; n += 1) await aTask();
    expect(shown()).toBe('c c c');
  });

  it('is had at once by parts that are new', async () => {
    const { rerender } = render(<Parts value="a" parts={2} />);
    rerender(<Parts value="a" parts={4} />);
    expect(shown()).toBe('a a a a');
    rerender(<Parts value="b" parts={1} />);
    expect(shown()).toBe('b');
  });

  it('takes no frame for a part that shows the same of both', async () => {
    // Each part shows its own letter.
    const Letters = ({ value }: { readonly value: string }) => {
      const of = useGradually(value, 3, (was, now, part) => was[part] === now[part]);
      return <p>{[0, 1, 2].map(part => of(part)[part]).join('')}</p>;
    };
    const { rerender } = render(<Letters value="abc" />);
    rerender(<Letters value="abx" />);
    expect(shown()).toBe('abc');
    await aTask();
    expect(shown()).toBe('abx');
    rerender(<Letters value="zbx" />);
    expect(shown()).toBe('zbx');
  });
});
