import { timedAct } from './timedAct';

/** Rolled between the palms, larger than about 3 cm. Reference rolls a minute and usual minutes: common practice; nothing was measured. */
export const palms = timedAct('palms', {
  key: 'Palms',
  words: 'Roll in the palms',
  name: 'roll in the palms',
  perMinute: 120,
  usual: 2,
  choices: [1, 2, 5, 10],
});
