import { type DrawnOutline, type DrawnPoint, wholeOutline } from './drawn';
import { upperHalf } from './mirror';
import type { Point, Polygon } from './polygon';

/** The fewest points of an outline, and of the half of a mirrored one, that can enclose anything. */
const FEWEST = { whole: 3, half: 3 } as const;

/** A drawn outline of corners, nothing open, from points read elsewhere. */
export const outlineOf = (points: Polygon): DrawnOutline => ({
  points: points.map(p => ({ x: p.x, y: p.y, round: false })),
  open: [],
  mirrored: false,
});

const isEnd = ({ points, mirrored }: DrawnOutline, i: number): boolean =>
  mirrored && (i === 0 || i === points.length - 1);

/** One point moved. The ends of a mirrored half stay on its axis. */
export const movePoint = (drawn: DrawnOutline, i: number, to: Point): DrawnOutline => ({
  ...drawn,
  points: drawn.points.map((p, k) => (k === i ? { ...p, x: to.x, y: isEnd(drawn, i) ? 0 : to.y } : p)),
});

/** A point more, in the middle of the edge that a point starts. */
export const addPointAfter = (drawn: DrawnOutline, i: number): DrawnOutline => {
  const { points } = drawn;
  const [a, b] = [points[i], points[(i + 1) % points.length]];
  if (!a || !b || (drawn.mirrored && i === points.length - 1)) return drawn;
  const middle: DrawnPoint = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2, round: a.round && b.round };
  return {
    ...drawn,
    points: [...points.slice(0, i + 1), middle, ...points.slice(i + 1)],
    // Both halves of an open edge stay open.
    open: drawn.open.flatMap(k => (k < i ? [k] : k === i ? [k, k + 1] : [k + 1])),
  };
};

/** Without a point; as it was where no outline would be left, or at an end of a mirrored half. */
export const removePoint = (drawn: DrawnOutline, i: number): DrawnOutline => {
  const fewest = drawn.mirrored ? FEWEST.half : FEWEST.whole;
  if (drawn.points.length <= fewest || isEnd(drawn, i)) return drawn;
  return {
    ...drawn,
    points: drawn.points.filter((_, k) => k !== i),
    open: drawn.open.filter(k => k !== i).map(k => (k > i ? k - 1 : k)),
  };
};

/** A corner made round, or a round point made a corner. */
export const toggleRound = (drawn: DrawnOutline, i: number): DrawnOutline => ({
  ...drawn,
  points: drawn.points.map((p, k) => (k === i ? { ...p, round: !p.round } : p)),
});

/** The edge that a point starts opened, or closed again. */
export const toggleOpen = (drawn: DrawnOutline, i: number): DrawnOutline =>
  drawn.mirrored && i === drawn.points.length - 1
    ? drawn
    : {
        ...drawn,
        open: drawn.open.includes(i)
          ? drawn.open.filter(k => k !== i)
          : [...drawn.open, i].toSorted((a, b) => a - b),
      };

/** Both halves drawn apart. */
const unmirrored = (drawn: DrawnOutline): DrawnOutline => {
  const { points, open } = wholeOutline(drawn);
  return { points, open: open.flatMap((o, i) => (o ? [i] : [])), mirrored: false };
};

/** The longest stretch on one side of the axis, to stand for both sides. Edges that were open close. */
const halved = (drawn: DrawnOutline): DrawnOutline => {
  const box = drawn.points.map(p => p.y);
  const axis = (Math.min(...box) + Math.max(...box)) / 2;
  const moved = drawn.points.map(p => ({ ...p, y: p.y - axis }));
  const half = upperHalf(moved, true).toSorted((a, b) => b.length - a.length)[0] ?? [];
  const isRound = (p: Point): boolean => moved.some(q => q.x === p.x && q.y === p.y && q.round);
  const last = half.length - 1;
  return {
    points: half.map((p, i) => ({
      x: p.x,
      y: i === 0 || i === last ? 0 : p.y,
      round: isRound(p) && i > 0 && i < last,
    })),
    open: [],
    mirrored: true,
  };
};

/** Mirrored about the axis through its middle, or off again. */
export const setMirrored = (drawn: DrawnOutline, mirrored: boolean): DrawnOutline => {
  if (mirrored === drawn.mirrored) return drawn;
  const next = mirrored ? halved(drawn) : unmirrored(drawn);
  return next.points.length < FEWEST.half ? drawn : next;
};
