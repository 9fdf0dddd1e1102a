import type { TestName } from '../core/acts/vocabulary';

/** A test at the bench: how it is done, and what each grade looks like, the least felted first. Common practice. */
export interface FeltTestWords {
  readonly name: string;
  readonly how: string;
  readonly grades: readonly string[];
}

export const FELT_TEST_WORDS: Readonly<Record<TestName, FeltTestWords>> = {
  finger: {
    name: 'Finger roll',
    how: 'Roll a fingertip on it.',
    grades: ['hairs move', 'hairs do not move'],
  },
  pull: {
    name: 'Pull',
    how: 'Pull it both ways.',
    grades: ['parts', 'stretches', 'holds'],
  },
  light: {
    name: 'See-through',
    how: 'Hold it to the light.',
    grades: ['holes', 'pale spots', 'even'],
  },
  squeeze: {
    name: 'Squeeze',
    how: 'Squeeze it beside a ball that is as firm as you want.',
    grades: ['a sponge', 'soft', 'gives a little', 'hardly gives', 'cannot be dented'],
  },
  cloth: {
    name: 'Back of the cloth',
    how: 'Look at the back.',
    grades: ['no hairs', 'hairs have come through', 'puckered all over'],
  },
  bend: {
    name: 'Bend',
    how: 'Bend it and let go.',
    grades: ['floppy', 'supple', 'springs back', 'stands'],
  },
  resist: {
    name: 'Resist',
    how: 'Look at the edge of the resist.',
    grades: ['loose', 'tight', 'the resist buckles'],
  },
};

/** A test with its grade, as it stands in the log. */
export const testWords = (test: TestName, grade: number): string =>
  `${FELT_TEST_WORDS[test].name}: ${FELT_TEST_WORDS[test].grades[grade] ?? grade}`;
