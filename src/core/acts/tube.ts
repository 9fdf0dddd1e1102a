import { timedAct } from './timedAct';

/** Rolled on a gripping mat, wound on a tube. Reference rolls a minute and usual minutes: common practice; nothing was measured. */
export const tube = timedAct('tube', {
  key: 'Tube',
  words: 'Roll on the tube',
  name: 'roll on the tube',
  perMinute: 10,
  usual: 10,
  choices: [5, 10, 20, 60],
  caution: 'Change posture every ten minutes. Stop if it hurts or goes numb.',
});
