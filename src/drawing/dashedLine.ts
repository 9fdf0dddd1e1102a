import type { OutlineIs } from '../core/forms/formKind';

/** What is done to the dashed line, by what it is. */
export const DASHED_LINE: Readonly<Record<OutlineIs, string>> = {
  resist: 'Cut the resist to the dashed line.',
  layout: 'Lay the wool out to the dashed line.',
  ball: 'The dashed line is the ball, seen from the side.',
  rolled: 'The dashed line is the wool rolled up dry, before it shrinks.',
  cloth: 'Cut the cloth to the dashed line.',
};
