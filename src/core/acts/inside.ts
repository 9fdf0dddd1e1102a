import { timedAct } from './timedAct';

/** The inside worked, through the opening or turned out. Reference rolls a minute and usual minutes: common practice; nothing was measured. */
export const inside = timedAct('inside', {
  words: 'Work the inside',
  name: 'work the inside',
  perMinute: 20,
  usual: 3,
  choices: [1, 3, 5, 10],
});
