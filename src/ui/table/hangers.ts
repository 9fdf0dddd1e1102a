import type { ReactNode } from 'react';
import type { Box, Point } from '../../core/outline/polygon';
import { toScreen, type View } from './view';

/** A figure that hangs off a point of the drawing, on one side of it. */
export interface Hanger {
  readonly id: string;
  readonly at: Point;
  readonly side: 'right' | 'left';
  readonly node: ReactNode;
}

export interface Hung extends Hanger {
  readonly from: Point;
  /** Where its leader ends and the figure begins, px. */
  readonly edge: number;
  readonly y: number;
}

const APART_PX = 54;
const AWAY_PX = 16;
const TOP_PX = 56;

/** Places figures in a column beside the drawing, in the order of their points, none over another. */
export const hangOut = (hangers: readonly Hanger[], view: View, box: Box): readonly Hung[] => {
  const right = toScreen(view, { x: box.maxX, y: 0 }).x + AWAY_PX;
  const left = toScreen(view, { x: box.minX, y: 0 }).x - AWAY_PX;
  return (['left', 'right'] as const).flatMap(side => {
    const column = hangers
      .filter(h => h.side === side)
      .map(h => ({ ...h, from: toScreen(view, h.at) }))
      .toSorted((a, b) => a.from.y - b.from.y);
    const most = view.height - APART_PX / 2 - 20;
    let y = TOP_PX - APART_PX;
    return column.map((h, i) => {
      const below = column.length - 1 - i;
      y = Math.min(Math.max(y + APART_PX, h.from.y), most - below * APART_PX);
      return { ...h, edge: side === 'right' ? right : left, y };
    });
  });
};
