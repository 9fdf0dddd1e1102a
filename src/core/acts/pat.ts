import { timedAct } from './timedAct';

/** Patted all over, so that the wool settles and holes close before it is rubbed. Common practice; nothing was measured. */
export const pat = timedAct('pat', {
  key: 'Pat',
  words: 'Pat it all over',
  name: 'pat it all over',
  perMinute: 5,
  usual: 3,
  choices: [1, 3, 5],
});
