// @vitest-environment happy-dom
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { useFocusFollows } from './useFocusFollows';

afterEach(cleanup);

const Line = ({ of }: { readonly of: string }) => (
  <button {...useFocusFollows(of)} type="button">
    {of}
  </button>
);
/** Two days, and which of them the line is on. */
const Days = ({ on, of = 'lay' }: { readonly on: readonly number[]; readonly of?: string }) =>
  [0, 1].map(day => <p key={day}>{on.includes(day) && <Line of={of} />}</p>);

it.each([
  ['drawn on the other day before it goes', [[0], [0, 1], [1]]],
  ['gone a moment before it is drawn there', [[1], [], [0]]],
])('a line that is %s keeps the focus', (_, steps) => {
  const { rerender } = render(<Days on={steps[0] ?? []} />);
  screen.getByRole('button').focus();
  for (const on of steps.slice(1)) rerender(<Days on={on} />);
  expect(document.activeElement).toBe(screen.getByRole('button'));
});

it('a line that had no focus takes none', () => {
  const { rerender } = render(<Days on={[0]} of="felt" />);
  rerender(<Days on={[1]} of="felt" />);
  expect(document.activeElement).toBe(document.body);
});
