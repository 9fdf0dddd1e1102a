import type { FormPlan } from '../core/forms/formKind';
import type { Point } from '../core/outline/polygon';

/** A turn of the piece's own frame (x along, y across) onto the table (x right, y down). */
export type Turn = (p: Point) => Point;

const TURNS: Readonly<Record<FormPlan['alongOnTable'], Turn>> = {
  right: p => ({ x: p.x, y: p.y }),
  up: p => ({ x: p.y, y: -p.x }),
  down: p => ({ x: -p.y, y: p.x }),
};

/** The turn that lays a form on the table the way it is looked at. */
export const turnFor = (alongOnTable: FormPlan['alongOnTable']): Turn => TURNS[alongOnTable];

const BACK = { right: 'right', up: 'down', down: 'up' } as const;

/** The turn back: from the table into the piece's own frame. */
export const turnBackFor = (alongOnTable: FormPlan['alongOnTable']): Turn => TURNS[BACK[alongOnTable]];

/** Direction on the table, degrees clockwise from right, of an angle from the piece's along axis. */
export const tableAngle = (alongOnTable: FormPlan['alongOnTable'], directionDeg: number): number => {
  const base = { right: 0, up: -90, down: 90 }[alongOnTable];
  return base + directionDeg;
};

/** Which way fibres lie on the table: degrees clockwise from right, or every way. */
export const wayOnTable = (
  alongOnTable: FormPlan['alongOnTable'],
  way: number | 'radial' | 'random',
): number | 'radial' | 'random' => (typeof way === 'number' ? tableAngle(alongOnTable, way) : way);
