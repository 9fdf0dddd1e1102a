import { plainAct } from './plainAct';

/** Stretched wet over the form it dries on. */
export const onForm = plainAct('onForm', {
  words: 'Stretch it over its form',
  name: 'stretch it over its form',
});
