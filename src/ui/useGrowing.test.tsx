// @vitest-environment happy-dom
import { act, cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { useGrowing } from './useGrowing';

const seen: number[] = [];
const List = ({ count }: { readonly count: number }) => {
  const grown = useGrowing(count, 4);
  seen.push(grown);
  return <p>{grown}</p>;
};
const frames = async (many: number): Promise<void> => {
  for (let n = 0; n < many; n += 1)
    await act(() => new Promise(resolve => requestAnimationFrame(() => setTimeout(resolve, 2))));
};

afterEach(() => {
  cleanup();
  seen.length = 0;
});

it('a list grows by so many a frame until all are there, shrinks at once, and grows again', async () => {
  const { rerender } = render(<List count={10} />);
  expect(seen).toEqual([4]);
  await frames(5);
  expect(screen.getByText('10')).toBeTruthy();
  expect(new Set(seen)).toEqual(new Set([4, 8, 10]));
  rerender(<List count={0} />);
  expect(screen.getByText('0')).toBeTruthy();
  seen.length = 0;
  rerender(<List count={9} />);
  expect(screen.getByText('4')).toBeTruthy();
  await frames(5);
  expect(screen.getByText('9')).toBeTruthy();
  expect(Math.max(...seen)).toBe(9);
});
