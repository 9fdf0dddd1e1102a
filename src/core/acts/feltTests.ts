import type { FormPlan } from '../forms/formKind';
import type { TestName } from './vocabulary';

/** Which pieces each test is for. How it is done, and what its grades are called, stands in `src/words/feltTests.ts`. */
const FOR: Readonly<Record<TestName, 'all' | 'flat' | 'solid' | 'cloth' | 'resist'>> = {
  finger: 'all',
  pull: 'flat',
  light: 'flat',
  squeeze: 'solid',
  cloth: 'cloth',
  bend: 'flat',
  resist: 'resist',
};

/** Whether a test is for a piece of this form. */
export const suits = (
  name: TestName,
  { solid, outlineIs }: Pick<FormPlan, 'solid' | 'outlineIs'>,
): boolean => {
  switch (FOR[name]) {
    case 'all':
      return true;
    case 'solid':
      return solid !== null;
    case 'flat':
      return solid === null;
    case 'cloth':
    case 'resist':
      return outlineIs === FOR[name];
  }
};

/** The test that says whether a piece is firm. */
export type FirmTest = 'pinch' | Extract<TestName, 'squeeze' | 'cloth'>;
