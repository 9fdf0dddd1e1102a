import type { Cushion, Pressure } from '../../core/log/entry';

export const CUSHION_WORDS: Readonly<Record<Cushion, string>> = {
  thick: 'thick',
  bubble: 'bubble wrap',
  mat: 'mat',
  bare: 'bare mat',
};
export const PRESSURE_WORDS: Readonly<Record<Pressure, string>> = {
  light: 'light',
  arms: 'arms’ weight',
  hard: 'hard',
};
