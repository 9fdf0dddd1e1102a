import { timedAct } from './timedAct';

/** Squeezed and rubbed every way inside a stocking. Reference rolls a minute and usual minutes: common practice; nothing was measured. */
export const stocking = timedAct('stocking', {
  key: 'Stocking',
  words: 'Squeeze and rub in the stocking',
  name: 'squeeze and rub in the stocking',
  perMinute: 120,
  usual: 2,
  choices: [1, 2, 3, 5],
});
