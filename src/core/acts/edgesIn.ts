import { plainAct } from './plainAct';

/** The fuzzy edges of a sheet folded in, once the skin holds. */
export const edgesIn = plainAct('edgesIn', {
  words: 'Fold the edges in and rub them down',
  name: 'fold the edges in',
});
