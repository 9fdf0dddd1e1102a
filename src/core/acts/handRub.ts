import { timedAct } from './timedAct';

/** Rubbed bare-handed, or through plastic, cloth or net, over a resist or a ball. Reference rolls a minute and usual minutes: common practice; nothing was measured. */
export const handRub = timedAct('handRub', {
  key: 'Rub over',
  words: 'Rub by hand',
  name: 'rub by hand',
  perMinute: 35,
  usual: 5,
  choices: [2, 5, 10, 20],
  caution: 'Soap or wool can irritate skin: wear gloves, rinse. Stop if it hurts or goes numb.',
});
