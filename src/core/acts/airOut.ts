import { plainAct } from './plainAct';

/** Air let out of the ball, so that the felt has room to close. */
export const airOut = plainAct('airOut', {
  key: 'Air out',
  words: 'Let a little air out',
  name: 'let a little air out',
});
