import { timedAct } from './timedAct';

/** Rolled under a board that grips, many at once. Reference rolls a minute and usual minutes: common practice; nothing was measured. */
export const board = timedAct('board', {
  key: 'Board',
  words: 'Roll under the board',
  name: 'roll under the board',
  perMinute: 80,
  usual: 3,
  choices: [1, 2, 3, 5, 10],
  ofAll: true,
});
