import type { Point } from '../outline/polygon';
import type { Light } from '../picture/pixels';

/** A straight edge in a picture, px. */
export interface Segment {
  readonly from: Point;
  readonly to: Point;
  readonly length: number;
  /** Direction along it, radians. */
  readonly angle: number;
  /** How steep it is on average. */
  readonly steep: number;
}

/** How fast a picture changes at each pixel, by the colour that changes most. */
export interface Slopes {
  readonly width: number;
  readonly height: number;
  readonly x: Float32Array;
  readonly y: Float32Array;
  readonly size: Float32Array;
}

/** Light as an eye sees it, roughly: its square root. */
export const eyeLight = ({ width, height, rgb }: Light): Light => {
  const out = new Float32Array(rgb.length);
  for (let i = 0; i < rgb.length; i += 1) out[i] = Math.sqrt(Math.max(0, rgb[i] ?? 0));
  return { width, height, rgb: out };
};

/** Two differences of colour, which shades and grain of one colour leave alone, and nothing as the third. */
export const opponentsOf = ({ width, height, rgb }: Light): Light => {
  const out = new Float32Array(rgb.length);
  for (let i = 0; i < rgb.length; i += 3) {
    const [r, g, b] = [rgb[i] ?? 0, rgb[i + 1] ?? 0, rgb[i + 2] ?? 0];
    const sum = r + g + b + 0.06;
    out[i] = (0.8 * (r - g)) / sum;
    out[i + 1] = (0.8 * (b - (r + g) / 2)) / sum;
  }
  return { width, height, rgb: out };
};

/**
 * Slopes of a picture over three pixels each way, each of the colour where it is steepest. Source: the operator of Sobel.
 * @param colours how many of its three are looked at
 */
export const slopesOf = ({ width, height, rgb }: Light, colours = 3): Slopes => {
  const n = width * height;
  const [gx, gy, size] = [new Float32Array(n), new Float32Array(n), new Float32Array(n)];
  const row = 3 * width;
  const steepest = new Float64Array(width);
  for (let y = 1; y < height - 1; y += 1) {
    const start = y * width;
    steepest.fill(0);
    for (let c = 0; c < colours; c += 1) {
      // Down each column: its mean, and how much it changes; each is read once and handed on to the next.
      let mean0 = 0;
      let mean1 = 0;
      let fall0 = 0;
      let fall1 = 0;
      for (let x = 0; x < width; x += 1) {
        const at = 3 * (start + x) + c;
        const above = rgb[at - row] ?? 0;
        const below = rgb[at + row] ?? 0;
        const mean2 = above + 2 * (rgb[at] ?? 0) + below;
        const fall2 = below - above;
        const u = (mean2 - mean0) / 8;
        const v = (fall0 + 2 * fall1 + fall2) / 8;
        const steep = u * u + v * v;
        if (x > 1 && steep > (steepest[x - 1] ?? 0)) {
          steepest[x - 1] = steep;
          gx[start + x - 1] = u;
          gy[start + x - 1] = v;
        }
        mean0 = mean1;
        mean1 = mean2;
        fall0 = fall1;
        fall1 = fall2;
      }
    }
    for (let x = 1; x < width - 1; x += 1) size[start + x] = Math.sqrt(steepest[x] ?? 0);
  }
  return { width, height, x: gx, y: gy, size };
};

/** Neighbours within this turn of an edge belong to it: the tangent of an eighth of half a turn. */
const ALIKE = Math.tan(Math.PI / 8);
/** Flatter than this is no edge. */
const LEAST_SLOPE = 0.012;
const LEAST_PX = 11;
/** An edge is no broader than this beside its length, or than so many px. */
const BROAD = { share: 0.12, px: 2.2 } as const;

const folded = (angle: number): number => {
  const a = Math.abs(angle) % (2 * Math.PI);
  return a > Math.PI ? 2 * Math.PI - a : a;
};

/** A straight edge through the first so many pixels of a list, of about one slope; null where they are no line. */
const lineThrough = (cells: Int32Array, count: number, { width, size }: Slopes): Segment | null => {
  let [n, x, y] = [0, 0, 0];
  for (let i = 0; i < count; i += 1) {
    const cell = cells[i] ?? 0;
    const w = size[cell] ?? 0;
    n += w;
    x += w * (cell % width);
    y += w * Math.floor(cell / width);
  }
  const at = { x: x / n, y: y / n };
  let [xx, xy, yy] = [0, 0, 0];
  for (let i = 0; i < count; i += 1) {
    const cell = cells[i] ?? 0;
    const w = size[cell] ?? 0;
    const dx = (cell % width) - at.x;
    const dy = Math.floor(cell / width) - at.y;
    xx += w * dx * dx;
    xy += w * dx * dy;
    yy += w * dy * dy;
  }
  const angle = Math.atan2(2 * xy, xx - yy) / 2;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  let [low, high, off] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY, 0];
  for (let i = 0; i < count; i += 1) {
    const cell = cells[i] ?? 0;
    const dx = (cell % width) - at.x;
    const dy = Math.floor(cell / width) - at.y;
    const along = c * dx + s * dy;
    low = Math.min(low, along);
    high = Math.max(high, along);
    off += (c * dy - s * dx) ** 2;
  }
  const length = high - low;
  const broad = 2 * Math.sqrt(off / count);
  if (length < LEAST_PX || broad > Math.max(BROAD.px, BROAD.share * length)) return null;
  return {
    from: { x: at.x + low * c + 0.5, y: at.y + low * s + 0.5 },
    to: { x: at.x + high * c + 0.5, y: at.y + high * s + 0.5 },
    length,
    angle,
    steep: n / count,
  };
};

/** How finely pixels are sorted by how steep they are. */
const STEPS = 256;

/** Pixels that may lie on an edge, the steepest first. Linear in pixels. */
const steepestFirst = (size: Float32Array): Int32Array => {
  let steepest = LEAST_SLOPE;
  for (let i = 0; i < size.length; i += 1) steepest = Math.max(steepest, size[i] ?? 0);
  const fineness = (STEPS - 1) / steepest;
  const flatness = new Uint8Array(size.length);
  const starts = new Int32Array(STEPS + 1);
  for (let i = 0; i < size.length; i += 1) {
    const s = size[i] ?? 0;
    if (s <= LEAST_SLOPE) continue;
    const flat = STEPS - 1 - Math.floor(s * fineness);
    flatness[i] = flat;
    starts[flat + 1] = (starts[flat + 1] ?? 0) + 1;
  }
  for (let flat = 0; flat < STEPS; flat += 1)
    starts[flat + 1] = (starts[flat + 1] ?? 0) + (starts[flat] ?? 0);
  const sorted = new Int32Array(starts[STEPS] ?? 0);
  for (let i = 0; i < size.length; i += 1) {
    if ((size[i] ?? 0) <= LEAST_SLOPE) continue;
    const flat = flatness[i] ?? 0;
    const to = starts[flat] ?? 0;
    sorted[to] = i;
    starts[flat] = to + 1;
  }
  return sorted;
};

/**
 * Straight edges of a picture: regions of pixels that slope about one way, the steepest first, each as a line. Linear in pixels.
 * Source: line segments by growing regions, after Burns, Hanson and Riseman 1986 (from memory).
 */
export const segmentsOf = (slopes: Slopes): readonly Segment[] => {
  const { width, height, x, y, size } = slopes;
  const n = width * height;
  const taken = new Uint8Array(n);
  const found: Segment[] = [];
  const around = [-1, 1, -width, width, -width - 1, -width + 1, width - 1, width + 1];
  const cells = new Int32Array(n);
  for (const seed of steepestFirst(size)) {
    if (taken[seed] === 1) continue;
    cells[0] = seed;
    taken[seed] = 1;
    let count = 1;
    let sx = x[seed] ?? 0;
    let sy = y[seed] ?? 0;
    for (let at = 0; at < count; at += 1) {
      const ax = sx;
      const ay = sy;
      for (const by of around) {
        const next = (cells[at] ?? 0) + by;
        if (next < 0 || next >= n || taken[next] === 1 || (size[next] ?? 0) <= LEAST_SLOPE) continue;
        const u = x[next] ?? 0;
        const v = y[next] ?? 0;
        if (Math.abs(ax * v - ay * u) > ALIKE * (ax * u + ay * v)) continue;
        taken[next] = 1;
        cells[count] = next;
        count += 1;
        sx += u;
        sy += v;
      }
    }
    const line = count >= LEAST_PX ? lineThrough(cells, count, slopes) : null;
    if (line) found.push(line);
  }
  return found;
};

/** Edges that lie on one line with a gap between them are one. */
const GAP = { turnRad: 0.06, offPx: 2, share: 0.6 } as const;

const joined = (a: Segment, b: Segment): Segment | null => {
  if (folded(2 * (a.angle - b.angle)) / 2 > GAP.turnRad + 1 / Math.min(a.length, b.length)) return null;
  const [c, s] = [Math.cos(a.angle), Math.sin(a.angle)];
  const ends = [a.from, a.to, b.from, b.to].map(p => ({
    p,
    along: c * (p.x - a.from.x) + s * (p.y - a.from.y),
    off: c * (p.y - a.from.y) - s * (p.x - a.from.x),
  }));
  const [b1, b2] = [ends[2], ends[3]];
  if (!b1 || !b2 || Math.max(Math.abs(b1.off), Math.abs(b2.off)) > GAP.offPx + 0.01 * a.length) return null;
  const apart = Math.max(0, Math.min(b1.along, b2.along) - a.length, -Math.max(b1.along, b2.along));
  if (apart > GAP.share * (a.length + b.length)) return null;
  const [first, last] = [
    ends.reduce((m, e) => (e.along < m.along ? e : m)),
    ends.reduce((m, e) => (e.along > m.along ? e : m)),
  ];
  const length = last.along - first.along;
  return {
    from: first.p,
    to: last.p,
    length,
    angle: Math.atan2(last.p.y - first.p.y, last.p.x - first.p.x),
    steep: (a.length * a.steep + b.length * b.steep) / (a.length + b.length),
  };
};

/** A steep short edge tells as much as a long weak one: grain of wood is long and weak. */
const byWeight = (a: Segment, b: Segment): number => b.length * b.steep ** 1.5 - a.length * a.steep ** 1.5;

/** The edges that tell most, pieces of one line put together; what was put together stands beside its pieces. */
export const longEdges = (segments: readonly Segment[], most: number): readonly Segment[] => {
  const long = segments.toSorted(byWeight).slice(0, most);
  const more: Segment[] = [];
  long.forEach((a, i) => {
    let whole = a;
    for (const b of long.slice(i + 1)) whole = joined(whole, b) ?? whole;
    if (whole.length > a.length + 3) more.push(whole);
  });
  return [...more, ...long].toSorted(byWeight).slice(0, most);
};
