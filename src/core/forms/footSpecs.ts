import { lengthSpec, OUTSIDE } from './formKind';
import { SHOE_SIZES } from './sizeTables';

/** What is measured of a foot, for whatever it goes into. */
export const FOOT_SPECS = [
  lengthSpec('foot', 'Foot length', {
    hint: 'heel to the longest toe',
    min: 80,
    max: 340,
    table: SHOE_SIZES,
  }),
  lengthSpec('ball', 'Ball girth', {
    hint: 'around the widest part of the foot',
    min: 100,
    max: 360,
    outside: OUTSIDE.girth,
  }),
];
