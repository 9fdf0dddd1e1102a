import { plainAct } from './plainAct';

/** Turned inside out: what was made outermost is the inside now. */
export const turnOut = plainAct('turnOut', {
  words: 'Turn it inside out',
  name: 'turn it inside out',
  fold: fold => {
    fold.isTurnedOut = !fold.isTurnedOut;
  },
});
