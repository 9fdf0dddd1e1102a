import { box } from '../outline/shapes';
import type { PhotoAsked } from './photoAsked';
import type { PhotoScene } from './sceneTable';

/** A small made-up picture of a sheet beside a card, and what is asked of it: it can be measured, all the way. */
export const PRACTICE: { readonly scene: PhotoScene; readonly asked: PhotoAsked } = {
  scene: { outline: box(300, 220), reference: 'card', seed: 41, longPx: 800, table: 'plain' },
  asked: {
    outline: box(400, 280),
    lines: [
      { id: 'A', from: { x: -200, y: 0 }, to: { x: 200, y: 0 } },
      { id: 'B', from: { x: 0, y: -140 }, to: { x: 0, y: 140 } },
    ],
    shares: [0.5, 1.12],
    reference: 'card',
    thickMm: 4.5,
  },
};
