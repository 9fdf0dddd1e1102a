import { pathLength, type Point } from '../outline/polygon';
import { EDGE_SURPLUS } from '../tolerances';
import type { EdgeSurplus } from './formKind';

/** How much longer an edge is than the middle it must become, with the stretches that must shrink most. */
export const edgeSurplus = (
  edgeMm: number,
  middleMm: number,
  hardest: EdgeSurplus['hardest'] = [],
): EdgeSurplus => ({ edgeMm, middleMm, ratio: edgeMm / middleMm, hardest });

/**
 * The surplus of a folded edge that runs beside an axis: its length against the way along the axis.
 * @param edge the edge from end to end, finished mm, x along the axis
 * @param laid the same edge on the laid outline, point for point
 * @returns the stretches longer than their way along by the share that is told of, both sides of the axis
 */
export const surplusAlong = (edge: readonly Point[], laid: readonly Point[]): EdgeSurplus => {
  const middle = (edge.at(-1)?.x ?? 0) - (edge[0]?.x ?? 0);
  const hardest: Point[][] = [];
  edge.slice(1).forEach((p, i) => {
    const [before, from, to] = [edge[i], laid[i], laid[i + 1]];
    if (!before || !from || !to) return;
    if (Math.hypot(p.x - before.x, p.y - before.y) <= EDGE_SURPLUS.warns * (p.x - before.x)) return;
    const last = hardest.at(-1);
    if (last?.at(-1) === from) last.push(to);
    else hardest.push([from, to]);
  });
  return edgeSurplus(pathLength(edge), middle, [
    ...hardest,
    ...hardest.map(line => line.map(p => ({ x: p.x, y: -p.y }))),
  ]);
};
