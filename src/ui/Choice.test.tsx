// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { doNow } from './afterwards';
import { Choice } from './Choice';

afterEach(cleanup);

const COUNTS = [
  { value: '20', text: '20' },
  { value: '30', text: '30' },
] as const;

it.each([
  ['chooses it where it may be advice only', true, ['30', '20']],
  ['is no choice elsewhere', false, ['20']],
])('a tap on what is chosen already %s', (_, isAdvised, wanted) => {
  const chosen: string[] = [];
  render(
    <Choice
      label="Rolls"
      size="wet"
      value="30"
      options={COUNTS}
      isAdvised={isAdvised}
      onChoose={value => chosen.push(value)}
    />,
  );
  for (const name of ['30', '20']) {
    screen.getByRole('radio', { name }).click();
    doNow();
  }
  expect(chosen).toEqual(wanted);
});

it('arrows lead round, Home and End to the ends, and Tab to the one that is chosen', () => {
  const chosen: string[] = [];
  const options = [...COUNTS, { value: '40', text: '40' }];
  render(<Choice label="Rolls" value="30" options={options} onChoose={value => chosen.push(value)} />);
  const at = (): string => document.activeElement?.textContent ?? '';
  const press = (key: string, more = {}): string => {
    fireEvent.keyDown(document.activeElement ?? document.body, { key, ...more });
    return at();
  };
  const radios = screen.getAllByRole('radio');
  expect(radios.map(r => r.tabIndex)).toEqual([-1, 0, -1]);
  radios[1]?.focus();
  expect(
    ['ArrowRight', 'ArrowDown', 'ArrowLeft', 'ArrowUp', 'Home', 'End', 'a'].map(key => press(key)),
  ).toEqual(['40', '20', '40', '30', '20', '40', '40']);
  // Back and forth among the views is the browser's.
  expect(press('ArrowLeft', { altKey: true })).toBe('40');
  expect(chosen).toEqual([]);
});

it('where none is chosen, Tab leads to the first', () => {
  render(<Choice<string> label="Rolls" value="" options={COUNTS} onChoose={() => undefined} />);
  expect(screen.getAllByRole('radio').map(r => r.tabIndex)).toEqual([0, -1]);
});
