import { timedAct } from './timedAct';

/** Edges rubbed in the hand, cut ones until they heal. Reference rolls a minute and usual minutes: common practice; nothing was measured. */
export const edge = timedAct('edge', {
  step: 'edges',
  words: 'Rub the edges with soap',
  name: 'rub the cut edges',
  perMinute: 0,
  usual: 2,
  choices: [1, 2, 5],
  fold: fold => {
    fold.cutSinceEdges = false;
  },
});
