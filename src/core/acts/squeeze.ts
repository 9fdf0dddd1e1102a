import { timedAct } from './timedAct';

/** Squeezed and kneaded in hot water. Reference rolls a minute and usual minutes: common practice; nothing was measured. */
export const squeeze = timedAct('squeeze', {
  key: 'Squeeze',
  words: 'Squeeze and knead',
  name: 'squeeze and knead',
  perMinute: 30,
  usual: 2,
  choices: [1, 2, 5],
  caution: 'Water too hot for your hands needs gloves or a tool.',
});
