import { timedAct } from './timedAct';

/** Stirred and pressed with a tool in a basin. Reference rolls a minute and usual minutes: common practice; nothing was measured. */
export const stir = timedAct('stir', {
  key: 'Stir',
  words: 'Stir and press',
  name: 'stir and press in the basin',
  perMinute: 20,
  usual: 5,
  choices: [2, 5, 10, 20],
  caution: 'Near boiling water scalds: use a tool, never your hands. An adult does this for children.',
});
