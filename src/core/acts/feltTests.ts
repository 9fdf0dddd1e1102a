import type { FormPlan } from '../forms/formKind';
import type { TestName } from './vocabulary';

/** A test at the bench: how it is done, and what each grade looks like, the least felted first. Common practice. */
export interface FeltTest {
  readonly name: string;
  readonly how: string;
  readonly grades: readonly string[];
  /** Which pieces it is for. */
  readonly for: 'all' | 'flat' | 'solid' | 'cloth' | 'resist';
}

export const FELT_TESTS: Readonly<Record<TestName, FeltTest>> = {
  finger: {
    name: 'Finger roll',
    how: 'Roll a fingertip on it.',
    grades: ['hairs move', 'hairs do not move'],
    for: 'all',
  },
  pull: { name: 'Pull', how: 'Pull it both ways.', grades: ['parts', 'stretches', 'holds'], for: 'flat' },
  light: {
    name: 'See-through',
    how: 'Hold it to the light.',
    grades: ['holes', 'pale spots', 'even'],
    for: 'flat',
  },
  squeeze: {
    name: 'Squeeze',
    how: 'Press it between the fingers, against a ball that is as firm as you want it.',
    grades: ['a sponge', 'soft', 'gives', 'hardly gives', 'cannot be dented'],
    for: 'solid',
  },
  cloth: {
    name: 'Back of the cloth',
    how: 'Look at the back.',
    grades: ['no hairs', 'hairs are through', 'puckered all over'],
    for: 'cloth',
  },
  bend: {
    name: 'Bend',
    how: 'Bend it and let go.',
    grades: ['floppy', 'supple', 'springs back', 'stands'],
    for: 'flat',
  },
  resist: {
    name: 'Resist',
    how: 'Look at the edge of the resist.',
    grades: ['loose', 'tight', 'the resist buckles'],
    for: 'resist',
  },
};

/** Whether a test is for a piece of this form. */
export const suits = (
  name: TestName,
  { solid, outlineIs }: Pick<FormPlan, 'solid' | 'outlineIs'>,
): boolean => {
  switch (FELT_TESTS[name].for) {
    case 'all':
      return true;
    case 'solid':
      return solid !== null;
    case 'flat':
      return solid === null;
    case 'cloth':
    case 'resist':
      return outlineIs === FELT_TESTS[name].for;
  }
};
