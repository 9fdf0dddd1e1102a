import type { PartSort } from './partSorts';

/** A thing that is put together of pieces and parts: what goes in, and the steps of joining in their order. Common practice. */
export interface ProjectKind {
  readonly id: string;
  readonly title: string;
  readonly pieces: ReadonlyArray<{ readonly what: string; readonly count: number }>;
  readonly parts: ReadonlyArray<{ readonly sort: PartSort; readonly count: number }>;
  readonly steps: readonly string[];
}

export const PROJECT_KINDS: readonly ProjectKind[] = [
  {
    id: 'brooch',
    title: 'Flower with a bead and a brooch back',
    pieces: [
      { what: 'flower', count: 1 },
      { what: 'bead', count: 1 },
    ],
    parts: [
      { sort: 'brooch back', count: 1 },
      { sort: 'thread', count: 0.5 },
    ],
    steps: [
      'Let flower and bead dry',
      'Sew the bead into the heart, through and back',
      'Sew the brooch back on, above the middle, so that it does not tip',
      'Glue the stitches over; hold it for 20 to 30 seconds',
    ],
  },
  {
    id: 'rose',
    title: 'Rose with leaves',
    pieces: [
      { what: 'rose', count: 1 },
      { what: 'leaf', count: 4 },
    ],
    parts: [{ sort: 'thread', count: 1 }],
    steps: [
      'Sew the inner leaves under the rose, opposite each other',
      'Set each further leaf in the gap of the two before',
      'Hide the stitches in the fuzz',
    ],
  },
  {
    id: 'necklace',
    title: 'Necklace of beads',
    pieces: [{ what: 'bead', count: 21 }],
    parts: [
      { sort: 'wire', count: 0.6 },
      { sort: 'clasp', count: 1 },
    ],
    steps: [
      'Lay the beads out by size and colour',
      'Pierce them with a needle whose eye takes the wire',
      'String them, the largest in the middle',
      'Crimp the clasp on and hide the ends in the last beads',
    ],
  },
  {
    id: 'earrings',
    title: 'A pair of earrings',
    pieces: [{ what: 'ball or drop', count: 2 }],
    parts: [
      { sort: 'earring hook', count: 2 },
      { sort: 'cap', count: 2 },
      { sort: 'wire', count: 0.2 },
    ],
    steps: [
      'Compare the two: size, colour, weight',
      'Put a wire with a loop through each, and a cap on top',
      'Turn the loop shut and hang it on the hook',
    ],
  },
  {
    id: 'garland',
    title: 'Garland of balls',
    pieces: [{ what: 'ball', count: 40 }],
    parts: [{ sort: 'cord', count: 2.5 }],
    steps: [
      'Lay the balls out in their order',
      'Draw the cord through with a long needle',
      'Knot it on both sides of each ball, or leave them to slide',
      'Make a loop at each end',
    ],
  },
  {
    id: 'tree',
    title: 'Tree with beads',
    pieces: [
      { what: 'cone', count: 1 },
      { what: 'bead', count: 24 },
    ],
    parts: [
      { sort: 'thread', count: 3 },
      { sort: 'glue', count: 5 },
    ],
    steps: [
      'Stiffen the cone and let it set',
      'Lay the beads out round it before any is fixed',
      'Sew each bead on, or glue it; hold it for 20 to 30 seconds',
      'Set the topmost last',
    ],
  },
  {
    id: 'own',
    title: 'Something of your own',
    pieces: [{ what: 'piece', count: 1 }],
    parts: [],
    steps: ['Put it together'],
  },
];
