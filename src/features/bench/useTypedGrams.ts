import { useState } from 'react';
import { parseQuantity, type UnitSystem } from '../../core/units/units';
import type { Shortcut } from '../../session/shortcuts';
import { FIGURES } from './FigureKeys';

/** More digits than any weight needs. */
const LONGEST = 7;

/** A weight that is typed with wet fingers, digit by digit. */
export const useTypedGrams = (
  units: UnitSystem,
  of: {
    readonly least: number;
    readonly most: number;
    readonly onDone: (grams: number) => void;
    readonly does: string;
  },
) => {
  const [typed, setTyped] = useState('');
  const grams = typed === '' ? null : parseQuantity(typed, 'mass', units);
  const good = grams !== null && grams >= of.least && grams <= of.most;
  const press = (key: string): void => {
    if (typed.length < LONGEST) setTyped(typed + key);
  };
  const back = (): void => setTyped(typed.slice(0, -1));
  const done = (): void => {
    if (good) of.onDone(grams);
  };
  const keys: Shortcut[] = [
    { keys: ['Enter'], shown: 'Enter', does: of.does, run: done },
    { keys: ['Backspace'], shown: '⌫', does: 'delete the last digit', run: back },
    ...FIGURES.map(k => ({
      keys: k === '.' ? ['.', ','] : [k],
      shown: k,
      does: 'digit',
      run: () => press(k),
    })),
  ];
  return { typed, good, press, back, done, keys };
};
