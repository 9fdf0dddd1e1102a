import type { WayId } from '../core/forms/wayId';

/** What is done once the wool is laid, as it is printed for a class or a table: from the skin to the end. Common practice. */
export const WAY_STEPS: Readonly<Record<WayId, readonly string[]>> = {
  bundle: [
    'Rub both sides gently, edges first, until the skin lifts as one when you pinch it',
    'Roll it up snugly; roll lengthwise and crosswise on both sides, and look after every set',
    'Take the resist out: pull it out of an open mouth, or cut a closed one a little at a time',
    'Rub the cut edges with soap until they heal; work the inside',
    'Roll on, mat by mat, until it is the right size; then throw it until nothing lifts',
  ],
  hands: [
    'Rub both sides in turn through net or plastic, about 20 min in all, until the skin holds',
    'Rub on with bare hands and hotter foam until the resist is tight',
    'Cut a hole in the middle, take the resist out, widen it by hand and rub the edge',
    'Work it until it is the right size and firm; stretch it over its form',
  ],
  sheet: [
    'Press and rub through net or plastic until the skin holds',
    'Roll it lengthwise and crosswise with the front up',
    'Turn it over and roll both ways with the back up; the way that lags gets more',
    'Measure, and go on until it is the right size and nothing lifts',
  ],
  cloth: [
    'Rub gently until hairs come through the back; then rub from the back too',
    'Roll sets of 30, mostly lengthwise, then crosswise; unroll and straighten after each',
    'When the hairs hold, throw it until it is puckered all over',
  ],
  grid: [
    'Press and rub, also down into the openings of the grid',
    'Roll it in all four directions until the felt is tight over the bars',
    'Cut each cell at its middle, pull the grid out, and rub the cut edges',
    'Roll and throw until it is firm',
  ],
  ball: [
    'Pat it all over, then rub; push holes shut and blot with a towel',
    'Rub in and out of warm water, 10 min and more; never roll it',
    'Let a little air out as the felt tightens',
    'Open it at the top; turn it inside out if it was made so; work the inside',
  ],
  palms: [
    'Dip it, held in the hand; roll it as gently as a small egg, always changing direction',
    'When no hairs move under a fingertip, roll harder and hotter',
    'Hot and cold in turn until it hardly gives',
  ],
  many: [
    'Shake them in a lidded bowl with a little hot soapy water: they roll and do not jump',
    'Look, add hot water, and shake two or three rounds more',
    'Roll them under a board that grips, then each in the hand until it hardly gives',
  ],
  stocking: [
    'Dunk it, squeeze the air out, rub and squeeze every way for 1–2 min in the stocking',
    'Take it out, dunk it, and squeeze harder for 1–2 min',
    'Tie them up in the stocking; machine wash and dry finish the inside',
    'Change the water after about five',
  ],
  tube: [
    'Pat the base first; bind it in a stocking with bands',
    'Roll it on a gripping mat for about an hour; leave it overnight',
    'Rinse the soap out and look; draw it off from the base',
    'Cut the petals one by one and rub each cut edge; set each into the gap of the two before',
  ],
  cord: [
    'Roll the wet tip until it holds; keep the root dry',
    'Soap on the outside; roll it on a mat or in the palms until it hardly gives',
  ],
  basin: [
    'Pour near-boiling water over it; stir and press with a tool, hands out of it',
    'Stir on until nothing lifts; let it cool before you touch it',
  ],
};
