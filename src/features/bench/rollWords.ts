import type { Pressure } from '../../core/acts/vocabulary';

export const PRESSURE_WORDS: Readonly<Record<Pressure, string>> = {
  light: 'light',
  arms: 'arms’ weight',
  hard: 'hard',
};
