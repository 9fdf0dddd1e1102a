import { timedAct } from './timedAct';

/** Shaken in a lidded bowl with a little hot soapy water, so that they roll. Reference rolls a minute and usual minutes: common practice; nothing was measured. */
export const shake = timedAct('shake', {
  key: 'Shake',
  words: 'Shake in the lidded bowl',
  name: 'shake in the lidded bowl',
  perMinute: 60,
  usual: 3,
  choices: [1, 2, 3, 5],
  ofAll: true,
  caution: 'They should roll, not jump. Hold the lid: hot soapy water splashes.',
});
