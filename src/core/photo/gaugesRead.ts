import type { Point, Polygon } from '../outline/polygon';
import { depthIn, isWithin } from './depthField';
import { type Placed, toLaid, toTable } from './register';

/** A measuring line on the laid outline, mm. */
export interface LineAsked {
  readonly id: string;
  readonly from: Point;
  readonly to: Point;
}
/** A line as it lies on the piece now, on the table: its ends on the rim, mm. */
export interface Chord {
  readonly id: string;
  readonly from: Point;
  readonly to: Point;
  readonly mm: number;
}

/** An end of a line lies on the outline within so much, mm. */
const ON_OUTLINE_MM = 4;
/** A line’s length is the mean over a band of so much each way, mm: a tape is broad too. */
const BAND_MM = 6;
const LINES = 5;

const fromOutline = (outline: Polygon, p: Point): number => Math.abs(depthIn(outline, p));

/** A line along the edge itself is read so far within, mm. */
const INSET_MM = 8;

/** How far aside of a line its band lies, mm: on it, or within where it runs along the edge; null where neither side of it is within. */
const insetOf = (outline: Polygon, { from, to }: LineAsked): number | null => {
  const length = Math.sqrt((to.x - from.x) ** 2 + (to.y - from.y) ** 2);
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  const aside = (off: number): Point => ({
    x: middle.x - (off * (to.y - from.y)) / length,
    y: middle.y + (off * (to.x - from.x)) / length,
  });
  if (isWithin(outline, middle) && fromOutline(outline, middle) > BAND_MM) return 0;
  return [INSET_MM, -INSET_MM].find(off => isWithin(outline, aside(off))) ?? null;
};

/** Whether a line can be read from a picture: both its ends lie on the outline, and felt lies between them. */
export const isReadable = (outline: Polygon, line: LineAsked): boolean =>
  fromOutline(outline, line.from) < ON_OUTLINE_MM &&
  fromOutline(outline, line.to) < ON_OUTLINE_MM &&
  insetOf(outline, line) !== null;

/** Where a line passes a rim: how far along it, in mm from its beginning, and which place on the table that is. */
const passings = (
  rim: ReadonlyArray<{ readonly laid: Point; readonly table: Point }>,
  at: Point,
  way: Point,
): ReadonlyArray<{ readonly along: number; readonly table: Point }> =>
  rim.flatMap((a, i) => {
    const b = rim[(i + 1) % rim.length] ?? a;
    const side = (p: Point): number => way.x * (p.y - at.y) - way.y * (p.x - at.x);
    const [sa, sb] = [side(a.laid), side(b.laid)];
    if (sa > 0 === sb > 0) return [];
    const t = sa / (sa - sb);
    const mix = (p: Point, q: Point): Point => ({ x: p.x + t * (q.x - p.x), y: p.y + t * (q.y - p.y) });
    const laid = mix(a.laid, b.laid);
    return [{ along: way.x * (laid.x - at.x) + way.y * (laid.y - at.y), table: mix(a.table, b.table) }];
  });

/**
 * Each line as the rim has it: the chord along it, averaged over a band, and by so much longer as the plan’s own line is longer than its band: at
 * a round end the band is shorter. Lines that meet no rim are left out.
 */
export const chordsOn = (
  rim: Polygon,
  placed: Placed,
  of: { readonly outline: Polygon; readonly lines: readonly LineAsked[] },
): readonly Chord[] => {
  const planned = bandsOn(
    of.outline.map(p => toTable(placed, p)),
    placed,
    of,
  );
  return bandsOn(rim, placed, of).map(chord => {
    const line = of.lines.find(l => l.id === chord.id);
    const band = planned.find(l => l.id === chord.id);
    if (!line || !band) return chord;
    const [a, b] = [toTable(placed, line.from), toTable(placed, line.to)];
    return { ...chord, mm: chord.mm + Math.sqrt((a.x - b.x) ** 2 + (a.y - b.y) ** 2) - band.mm };
  });
};

const bandsOn = (
  rim: Polygon,
  placed: Placed,
  { outline, lines }: { readonly outline: Polygon; readonly lines: readonly LineAsked[] },
): readonly Chord[] => {
  const both = rim.map(table => ({ table, laid: toLaid(placed, table) }));
  return lines.flatMap(line => {
    const { id, from, to } = line;
    const inset = insetOf(outline, line) ?? 0;
    const length = Math.sqrt((to.x - from.x) ** 2 + (to.y - from.y) ** 2);
    const way = { x: (to.x - from.x) / length, y: (to.y - from.y) / length };
    const found = Array.from(
      { length: LINES },
      (_, i) => (BAND_MM * (2 * i)) / (LINES - 1) - BAND_MM,
    ).flatMap(off => {
      const aside = off + inset;
      const at = { x: from.x - aside * way.y, y: from.y + aside * way.x };
      const passed = passings(both, at, way);
      const nearest = (to_: number) =>
        passed.toSorted((a, b) => Math.abs(a.along - to_) - Math.abs(b.along - to_))[0];
      const [a, b] = [nearest(0), nearest(length)];
      return a && b && b.along - a.along > 0.3 * length ? [[a.table, b.table] as const] : [];
    });
    if (found.length < 3) return [];
    const mean = (n: 0 | 1): Point => ({
      x: found.reduce((sum, f) => sum + f[n].x, 0) / found.length,
      y: found.reduce((sum, f) => sum + f[n].y, 0) / found.length,
    });
    const mm =
      found.reduce((sum, [p, q]) => sum + Math.sqrt((q.x - p.x) ** 2 + (q.y - p.y) ** 2), 0) / found.length;
    return [{ id, from: mean(0), to: mean(1), mm }];
  });
};
