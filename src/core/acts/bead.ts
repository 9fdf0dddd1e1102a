import { timedAct } from './timedAct';

/** Rolled between the palms, up to about 3 cm. Reference rolls a minute and usual minutes: common practice; nothing was measured. */
export const bead = timedAct('bead', {
  key: 'Palms, small',
  words: 'Roll small in the palms',
  name: 'roll small in the palms',
  perMinute: 200,
  usual: 1,
  choices: [1, 2, 3, 5],
});
