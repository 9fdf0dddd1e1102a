// @vitest-environment happy-dom
import { act, cleanup, render, screen } from '@testing-library/react';
import { memo } from 'react';
import { afterEach, describe, expect, it } from 'vitest';
import { useSteady } from './useSteady';
import { useSteps } from './useSteps';

afterEach(cleanup);

describe('a function that stays the same', () => {
  it('does what it would do now, and draws nobody anew', () => {
    const said: number[] = [];
    let drawn = 0;
    const Tap = memo(({ onTap }: { readonly onTap: () => void }) => {
      drawn += 1;
      return <button onClick={onTap}>Tap</button>;
    });
    const View = ({ count }: { readonly count: number }) => <Tap onTap={useSteady(() => said.push(count))} />;
    const { rerender } = render(<View count={1} />);
    rerender(<View count={2} />);
    screen.getByRole('button').click();
    expect(said).toEqual([2]);
    expect(drawn).toBe(1);
  });
});

describe('parts that come one after the other', () => {
  it('the first is there at once, the others follow by themselves, and none too many', async () => {
    const seen: number[] = [];
    const Parts = () => {
      const steps = useSteps(3);
      seen.push(steps);
      return <p>{steps}</p>;
    };
    render(<Parts />);
    expect(seen).toEqual([1]);
    for (let n = 0; n < 5; n += 1)
      await act(() => new Promise(resolve => requestAnimationFrame(() => setTimeout(resolve, 2))));
    expect(screen.getByText('3')).toBeTruthy();
    expect(Math.max(...seen)).toBe(3);
  });
});
