// @vitest-environment happy-dom
import { cleanup, render, screen } from '@testing-library/react';
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
