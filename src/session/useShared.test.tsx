// @vitest-environment happy-dom
import { cleanup, renderHook } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { useShared } from './useShared';

afterEach(cleanup);

it('a list worked out anew keeps what came out the same, and the whole where all did', () => {
  const days = () => [
    { day: 'a', blocks: [{ id: 1 }] },
    { day: 'b', blocks: [{ id: 2 }] },
  ];
  const first = days();
  const { result, rerender } = renderHook(useShared<ReturnType<typeof days>>, { initialProps: first });
  rerender(days());
  expect(result.current).toBe(first);
  const later = [first[0], { day: 'b', blocks: [{ id: 3 }] }].flatMap(d => (d ? [structuredClone(d)] : []));
  rerender(later);
  expect(result.current).toEqual(later);
  expect(result.current[0]).toBe(first[0]);
  expect(result.current[1]).not.toBe(first[1]);
  rerender([]);
  expect(result.current).toEqual([]);
});
