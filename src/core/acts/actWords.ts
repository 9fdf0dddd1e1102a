import type { PieceWording } from './actSpec';
import type { RollDirection } from './vocabulary';

export const DIRECTION: Readonly<Record<RollDirection, string>> = {
  0: 'lengthwise',
  45: 'diagonal',
  90: 'crosswise',
  135: 'other diagonal',
};

/** Which face, where there is more than one. */
export const onFace = (face: number, { faces }: Pick<PieceWording, 'faces'>): string =>
  faces > 1 ? `, side ${face}` : '';

/** Which side lies up while it is rolled: of a sheet its front or its back, over a resist one of its sides. */
export const sideUp = (face: number, of: Pick<PieceWording, 'faces' | 'hasBack'>): string =>
  of.hasBack ? (face === 1 ? ', front up' : ', back up') : onFace(face, of);

/** Which side is rubbed: of a sheet its back is told, over a resist each. */
export const rubbedOn = (face: number, of: Pick<PieceWording, 'faces' | 'hasBack'>): string =>
  of.hasBack ? (face === 1 ? '' : ', from the back') : onFace(face, of);

/** Which way it is rolled; a solid is rolled every way. */
export const inDirection = (deg: RollDirection, { isSolid }: Pick<PieceWording, 'isSolid'>): string =>
  isSolid ? ', every way' : ` ${DIRECTION[deg]}`;

export const times = (count: number): string => (count === 1 ? 'once' : `${count} times`);

/** A count that was not counted. */
export const roughly = (spread?: number): string => (spread ? 'about ' : '');

/** How long, in words that a glance reads. */
export const duration = (minutes: number): string => {
  if (minutes < 60) return `${minutes} min`;
  const hours = Math.floor(minutes / 60);
  if (hours < 48) return `${hours} h${hours < 6 && minutes % 60 > 0 ? ` ${minutes % 60} min` : ''}`;
  return `${Math.floor(hours / 24)} days`;
};

/** For how long; nothing where it is not said. */
export const forMinutes = (minutes: number | undefined): string =>
  minutes === undefined ? '' : ` for ${duration(minutes)}`;
