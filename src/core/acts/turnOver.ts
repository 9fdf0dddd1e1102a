import { plainAct } from './plainAct';

/** Turned over: what lay below is worked from above. */
export const turnOver = plainAct('turnOver', {
  key: 'Turn',
  words: 'Turn it over',
  name: 'turn it over',
  fold: fold => {
    fold.up = fold.up === 1 ? 2 : 1;
  },
});
