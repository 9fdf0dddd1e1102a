import { timedAct } from './timedAct';

/** Worked with a felting needle, dry: it settles details and hard spots, and shrinks nothing that is reckoned with. */
export const needle = timedAct('needle', {
  words: 'Work it with the felting needle',
  name: 'felting needle',
  perMinute: 0,
  usual: 5,
  choices: [2, 5, 10, 20],
  caution:
    'Felting needles are barbed and sharp: work dry, on a cushion, never toward your hand; count them; not for small children.',
});
