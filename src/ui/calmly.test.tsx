// @vitest-environment happy-dom
import { act, cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { calmly } from './calmly';

afterEach(cleanup);

describe('a part that is drawn calmly', () => {
  it('comes after what stands round it, and shows the same in the end', async () => {
    const drawn: string[] = [];
    const Sum = calmly(({ of }: { readonly of: number }) => {
      drawn.push(`sum ${of}`);
      return <p>Sum {of}</p>;
    });
    const View = ({ of }: { readonly of: number }) => {
      drawn.push(`view ${of}`);
      return (
        <>
          <p>Typed {of}</p>
          <Sum of={of} />
        </>
      );
    };
    const { rerender } = render(<View of={1} />);
    expect(screen.getByText('Sum 1')).toBeTruthy();
    drawn.length = 0;
    await act(async () => rerender(<View of={2} />));
    // Round it first, with the part as it was; then the part.
    expect(drawn).toEqual(['view 2', 'sum 2']);
    expect(screen.getByText('Typed 2')).toBeTruthy();
    expect(screen.getByText('Sum 2')).toBeTruthy();
  });
});
