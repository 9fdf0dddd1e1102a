import { plainAct } from './plainAct';

/** Ears, mouths and slits of a solid, cut when it is dry: wet felt frays and closes again. Common practice. */
export const cutDry = plainAct('cutDry', {
  words: 'Cut ears, mouths or slits, dry',
  name: 'cut ears, mouths or slits when dry',
  caution: 'Cut away from your other hand, on a board. An adult cuts for children.',
});
