import type { HabitId, HABITS } from '../core/ways/habits';

/** What schools differ in, and what each choice is called. */
export const HABIT_WORDS: {
  readonly [K in HabitId]: {
    readonly name: string;
    readonly choices: Readonly<Record<(typeof HABITS)[K][number], string>>;
  };
} = {
  cover: { name: 'On the wool', choices: { net: 'net', plastic: 'plastic', hands: 'bare hands' } },
  soap: {
    name: 'Soap',
    choices: { water: 'in the water', wool: 'on the wool', foam: 'foam only', flakes: 'dry flakes' },
  },
  edges: { name: 'Edges', choices: { left: 'left as they are', folded: 'folded in', trimmed: 'trimmed' } },
  resist: {
    name: 'Resist comes out',
    choices: { size: 'by size', early: 'early', last: 'at the end' },
  },
  needle: { name: 'Felting needle', choices: { never: 'no', first: 'before', after: 'afterwards' } },
  firming: { name: 'Firmed by', choices: { throwing: 'throwing', water: 'hot and cold' } },
  inside: { name: 'Laid first', choices: { first: 'the inside', last: 'the outside, then turned' } },
};
