// @vitest-environment happy-dom
import { act, cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import type { Act } from '../../core/acts/act';
import { progressForecast } from '../../core/forecast/progressForecast';
import { disc } from '../../core/forms/kinds/disc';
import { benchState } from '../../core/log/benchState';
import { makePlan } from '../../core/plan/makePlan';
import { newPlan } from '../../core/plan/newPlan';
import { wayOf } from '../../core/ways/register';
import { DEFAULT_SETTINGS } from '../../records/settings';
import { aPiece, anEntry } from '../../records/testing/build';
import type { PieceContext } from '../../session/pieceContext';
import { PieceNow } from './PieceNow';
import type { ActSelection } from './useActSelection';
import type { BenchStatus } from './useBenchStatus';

afterEach(cleanup);

const made = makePlan(newPlan(disc));
if (!made.ok) throw new Error('no plan');
const plan = made.value;
const context = { piece: aPiece('p1'), settings: DEFAULT_SETTINGS } as unknown as PieceContext;
const set: Act = { kind: 'roll', face: 1, directionDeg: 0, rolls: 30, cushion: 'bubble', pressure: 'arms' };

/** Where it stands after so many sets. */
const after = (sets: number) => {
  const state = benchState(Array.from({ length: sets }, (_, i) => anEntry(`e${i}`, i + 1, 'p1', set)));
  const forecast = progressForecast(plan.form.gauges, state);
  return {
    way: wayOf({}, plan.form, null),
    legs: [1, 2],
    state,
    forecast,
    model: null,
    openings: [],
    many: null,
  };
};
/** What is done next comes anew with every drawing, as it does at the bench. */
const Shown = ({ standing }: { readonly standing: ReturnType<typeof after> }) => (
  <PieceNow
    context={context}
    plan={plan}
    standing={standing as unknown as BenchStatus}
    acting={{ act: { ...set }, proposed: { act: 'measure' } } as unknown as ActSelection}
    isDrawn
  />
);
const count = (): string | null =>
  screen.getByRole('figure').querySelector('figcaption')?.textContent ?? null;
const rose = (): string | null => screen.getByRole('img', { name: /^Rolls by/ }).getAttribute('aria-label');
const aFrame = () => act(() => new Promise(resolve => requestAnimationFrame(() => setTimeout(resolve, 2))));

it('the count is there with the tap, and the rose a frame after it', async () => {
  const { rerender } = render(<Shown standing={after(1)} />);
  expect(count()).toMatch(/^30 rolls/);
  expect(rose()).toContain('0°: 30 and 0');
  rerender(<Shown standing={after(2)} />);
  expect(count()).toMatch(/^60 rolls/);
  expect(rose()).toContain('0°: 30 and 0');
  for (let frame = 0; frame < 3; frame += 1) await aFrame();
  expect(rose()).toContain('0°: 60 and 0');
});
