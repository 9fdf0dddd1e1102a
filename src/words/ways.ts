import type { Judge } from '../core/acts/vocabulary';
import type { WayId } from '../core/forms/wayId';

/** What each way of working is called, and how it goes, in a line. */
export const WAY_WORDS: Readonly<Record<WayId, { readonly name: string; readonly how: string }>> = {
  bundle: { name: 'Rolled in a bundle', how: 'over a resist, each way on both sides' },
  hands: { name: 'Rubbed by hand', how: 'over a resist, both sides in turn' },
  sheet: { name: 'Rolled as a sheet', how: 'each way, then turned over' },
  cloth: { name: 'Wool on cloth', how: 'rolled mostly lengthwise' },
  grid: { name: 'Sheets around a grid', how: 'rolled in all directions' },
  ball: { name: 'Around a ball', how: 'patted, then rubbed all over' },
  palms: { name: 'Between the palms', how: 'always changing direction' },
  many: { name: 'Many at once', how: 'shaken in a bowl, then under a board' },
  stocking: { name: 'In a stocking', how: 'squeezed and rubbed, then the machine' },
  tube: { name: 'On a tube', how: 'rolled on a gripping mat, about an hour' },
  cord: { name: 'As a cord', how: 'rolled on the mat or in the palms' },
  basin: { name: 'In a basin', how: 'stirred and pressed with a tool' },
};

/** How a maker judges where a piece stands. */
export const JUDGE_WORDS: Readonly<Record<Judge, string>> = {
  tape: 'with a tape',
  drawing: 'by the drawing',
  feel: 'by feel',
};
