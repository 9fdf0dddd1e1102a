import type { Box, Point } from '../../core/outline/polygon';

/** How the table in mm is seen on the screen in px. */
export interface View {
  readonly pxPerMm: number;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** Room for the rulers at the top and left edge. */
export const RULER_PX = 26;
/** Room around the drawing for the figures that hang off it. */
const AROUND_PX = { x: 150, top: 40, bottom: 40 };
/** On a phone the figures stand in a list, and the legend takes two lines. */
const AROUND_PHONE_PX = { x: 26, top: 40, bottom: 64 };

/** The view that shows a whole box in the middle of the table. */
export const fitView = (box: Box, size: { width: number; height: number }): View => {
  const room = size.width < 560 ? AROUND_PHONE_PX : AROUND_PX;
  const wide = Math.max(1, box.maxX - box.minX);
  const high = Math.max(1, box.maxY - box.minY);
  const width = Math.max(50, size.width - RULER_PX - 2 * room.x);
  const height = Math.max(50, size.height - RULER_PX - room.top - room.bottom);
  const pxPerMm = Math.min(width / wide, height / high, 8);
  return {
    pxPerMm,
    width: size.width,
    height: size.height,
    left: RULER_PX + room.x + (width - wide * pxPerMm) / 2 - box.minX * pxPerMm,
    top: RULER_PX + room.top + (height - high * pxPerMm) / 2 - box.minY * pxPerMm,
  };
};

export const toScreen = (view: View, p: Point): Point => ({
  x: view.left + p.x * view.pxPerMm,
  y: view.top + p.y * view.pxPerMm,
});
