import type { Cushion } from './vocabulary';

export const CUSHION_WORDS: Readonly<Record<Cushion, string>> = {
  thick: 'thick',
  bubble: 'bubble wrap',
  mat: 'mat',
  bare: 'bare mat',
};
