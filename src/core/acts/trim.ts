import { plainAct } from './plainAct';

/** The edge cut straight; a cut edge is rubbed until it heals. */
export const trim = plainAct('trim', {
  words: 'Trim the edges',
  name: 'trim the edges',
  caution: 'Cut away from your other hand. An adult cuts for children.',
  fold: fold => {
    fold.cutSinceEdges = true;
  },
});
