import type { PieceWording } from '../core/acts/actSpec';
import type { UnitSystem } from '../core/units/units';
import type { Way } from '../core/ways/way';
import { markWords } from './drawingMarks';
import { faultName } from './faults';
import { testWords } from './feltTests';

/** How a piece is spoken of, as its way has it. @param faces how many it has */
export const pieceWording = (way: Way, faces: number, units: UnitSystem): PieceWording => ({
  faces: way.bySide ? faces : 1,
  isSolid: !way.hasDirections,
  hasBack: way.hasBack ?? false,
  units,
  faultName,
  testWords,
  markWords,
});
