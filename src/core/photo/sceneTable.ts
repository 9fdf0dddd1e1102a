import { normal, type Random } from '../numeric/random';
import { boundsOf, type Point, type Polygon } from '../outline/polygon';
import { type ReferenceKind, REFERENCES } from './references';
import type { Colour, TableKind } from './tableLook';

/** What a made-up picture of a piece on a table shows; all else of it comes of its seed. */
export interface PhotoScene {
  /** The piece as it is now, mm. */
  readonly outline: Polygon;
  readonly reference: ReferenceKind;
  readonly seed: number;
  readonly longPx?: number;
  readonly table?: TableKind;
  /** How the card lies; beside the piece when left out. */
  readonly card?: 'beside' | 'none' | 'onPiece' | 'half' | 'glare';
  /** The outline is drawn on the sheet with a pen; nothing else lies there. */
  readonly isDrawn?: boolean;
  /** Flat things that are no card. */
  readonly decoys?: number;
  /** Degrees from straight down; up to 22 when left out. */
  readonly tiltDeg?: number;
  /** How far the lens bends; drawn within 0.02 when left out. */
  readonly bend?: number;
  /** How much of the picture all of it fills; drawn when left out. */
  readonly fills?: number;
  /** The piece reaches beyond the picture. */
  readonly isCut?: boolean;
  /** Deviation of a blur, px. */
  readonly blurPx?: number;
  readonly felt?: Colour;
  readonly tableColour?: Colour;
  readonly thickMm?: number;
}

const CARDS: readonly Colour[] = [
  [0.05, 0.12, 0.45],
  [0.75, 0.75, 0.72],
  [0.55, 0.08, 0.12],
  [0.1, 0.35, 0.3],
];
const PAPER: Colour = [0.82, 0.82, 0.8];
export const pick = <T>(of: readonly T[], random: Random): T => {
  const found = of[Math.floor(of.length * random())];
  if (found === undefined) throw new RangeError('There is nothing to pick from.');
  return found;
};
export const luma = (c: Colour): number => 0.3 * c[0] + 0.6 * c[1] + 0.1 * c[2];

/** A flat thing on the table: where, how it is turned, and what it looks like. */
export interface Sheet {
  readonly at: Point;
  readonly turn: number;
  readonly size: { readonly long: number; readonly short: number; readonly corner: number };
  readonly z: number;
  readonly colour: Colour;
  readonly print: Colour;
  readonly isCard: boolean;
}
/** How far within a sheet a place lies, mm, and where on it. */
export const within = (
  { at, turn, size }: Sheet,
  p: Point,
): { readonly depth: number; readonly u: number; readonly v: number } => {
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const u = c * (p.x - at.x) + s * (p.y - at.y);
  const v = -s * (p.x - at.x) + c * (p.y - at.y);
  const [dx, dy] = [Math.abs(u) - size.long / 2 + size.corner, Math.abs(v) - size.short / 2 + size.corner];
  const depth = size.corner - Math.hypot(Math.max(0, dx), Math.max(0, dy)) - Math.min(0, Math.max(dx, dy));
  return { depth, u, v };
};
/** Nothing is printed on it. */
const NO_PRINT: Colour = [-1, -1, -1];

/** What is printed on it. */
export const printOn = (sheet: Sheet, u: number, v: number): Colour => {
  const { long, short } = sheet.size;
  if (sheet.isCard) {
    if (Math.abs(u + 0.28 * long) < 6 && Math.abs(v + 0.05 * short) < 5) return [0.6, 0.5, 0.22];
    return v > 0.12 * short && v < 0.2 * short && u < 0.3 * long ? sheet.print : sheet.colour;
  }
  return sheet.print[0] < 0 ||
    Math.abs(u) > 0.4 * long ||
    Math.abs(v) > 0.42 * short ||
    ((v % 9) + 9) % 9 > 2.2
    ? sheet.colour
    : sheet.print;
};

/** Where the piece, the card and what else lies there are laid. */
export const layTable = (scene: PhotoScene, base: Colour, random: Random) => {
  const box = boundsOf(scene.outline);
  const turn = ((random() < 0.5 ? 0 : 90) + 14 * normal(random)) * (Math.PI / 180);
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const mid = { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
  const onTable = (p: Point): Point => ({
    x: c * (p.x - mid.x) - s * (p.y - mid.y),
    y: s * (p.x - mid.x) + c * (p.y - mid.y),
  });
  const piece = boundsOf(scene.outline.map(onTable));
  const size = REFERENCES[scene.reference];
  const { card = 'beside' } = scene;
  const isOn = card === 'onPiece';
  const side = pick([-1, 1], random);
  const gap = 14 + 20 * random();
  const cardTurn = (random() < 0.5 ? 0 : Math.PI / 2) + 0.2 * normal(random);
  const reach = (Math.abs(Math.cos(cardTurn)) * size.long + Math.abs(Math.sin(cardTurn)) * size.short) / 2;
  const drop = (Math.abs(Math.sin(cardTurn)) * size.long + Math.abs(Math.cos(cardTurn)) * size.short) / 2;
  const isBeside = random() < 0.5 === piece.maxX - piece.minX > piece.maxY - piece.minY;
  const edge = side > 0 ? { x: piece.maxX, y: piece.maxY } : { x: -piece.minX, y: -piece.minY };
  const tall = Math.max(0, (piece.maxY - piece.minY) / 2 - drop);
  const wide = Math.max(0, (piece.maxX - piece.minX) / 2 - reach);
  const beside = isBeside
    ? { x: side * (edge.x + gap + reach), y: tall * (2 * random() - 1) }
    : { x: wide * (2 * random() - 1), y: side * (edge.y + gap + drop) };
  const half = isBeside
    ? { x: beside.x - side * (gap + reach), y: beside.y }
    : { x: beside.x, y: beside.y - side * (gap + drop) };
  const shows = CARDS.filter(look => Math.abs(Math.log(luma(look) / luma(base))) > 0.35);
  const colour = scene.reference === 'card' ? pick(shows, random) : PAPER;
  const reference: Sheet = {
    at: scene.isDrawn
      ? { x: 0, y: 0 }
      : isOn
        ? { x: 0.2 * (piece.maxX - piece.minX) * (random() - 0.5), y: 0 }
        : card === 'half'
          ? half
          : beside,
    // What is drawn is drawn along the sheet.
    turn: scene.isDrawn ? turn + (box.maxY - box.minY > box.maxX - box.minX ? Math.PI / 2 : 0) : cardTurn,
    size,
    z: isOn ? (scene.thickMm ?? 4.5) + size.thick : size.thick,
    colour,
    print:
      scene.reference === 'card'
        ? pick(CARDS, random)
        : random() < 0.5 && !scene.isDrawn
          ? [0.1, 0.1, 0.12]
          : NO_PRINT,
    isCard: scene.reference === 'card',
  };
  const decoys = Array.from({ length: scene.decoys ?? 0 }, (): Sheet => {
    const long = 60 + 110 * random();
    const ratio = pick([1, 1.15, 2.1, 2.6], random);
    const far = { x: piece.maxX + 30 + long * 0.6, y: piece.maxY + 30 + long * 0.6 };
    const at = isBeside
      ? { x: -side * far.x, y: far.y * (1.4 * random() - 0.7) }
      : { x: far.x * (1.4 * random() - 0.7), y: -side * far.y };
    const look: Colour = [0.05 + 0.6 * random(), 0.05 + 0.6 * random(), 0.05 + 0.6 * random()];
    return {
      at,
      turn: Math.PI * random(),
      size: { long, short: long / ratio, corner: 2 * random() },
      z: 0.5,
      colour: look,
      print: NO_PRINT,
      isCard: false,
    };
  });
  const shown = card === 'none' ? [] : [reference];
  const corners = [...shown, ...decoys].flatMap(({ at, size: { long } }) => [
    { x: at.x - long / 2, y: at.y - long / 2 },
    { x: at.x + long / 2, y: at.y + long / 2 },
  ]);
  return {
    onTable,
    piece,
    sheets: [...decoys, ...shown],
    isOn,
    all: boundsOf([...scene.outline.map(onTable), ...corners]),
  };
};
