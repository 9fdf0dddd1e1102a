import { divide, stepFor } from './divide';
import type { Decoration, LayAct, LayStep } from './layOrder';
import type { WeighPlan } from './weigh';

/** A share of one layer, laid of one wool; null is a wool that is not chosen yet. */
export interface LayerPart {
  readonly woolId: string | null;
  readonly share: number;
}

/** The wools of each layer, the one laid first at 0. A layer that is not named is all of the piece's own wool. */
export type LayColours = ReadonlyArray<readonly LayerPart[]>;

/** What one layer is made of, shares summing to 1. */
export const partsOf = (colours: LayColours, layer: number, woolId: string | null): readonly LayerPart[] => {
  const named = colours[layer]?.filter(p => p.share > 0) ?? [];
  const sum = named.reduce((all, p) => all + p.share, 0);
  return sum > 0 ? named.map(p => ({ ...p, share: p.share / sum })) : [{ woolId, share: 1 }];
};

/** One pile as it goes onto the scale. */
export interface ScalePile {
  /** Stands in the log; the same plan gives the same ids. */
  readonly id: string;
  /** Which of the pieces alike, from 1; 1 where there is only one. */
  readonly piece: number;
  readonly face: string;
  /** The layer it belongs to, from 1; null for a heap that has none. */
  readonly layer: number | null;
  readonly woolId: string | null;
  readonly grams: number;
  /** What it is, where it is laid beside the layers: then nothing is re-divided into it. */
  readonly decoration?: string;
  /** Of a body: which of its parts, the innermost 1. */
  readonly part?: number;
}

/** What a piece is made of. */
export interface PieceWools {
  readonly colours: LayColours;
  /** The piece's own wool, for layers that are not named. */
  readonly woolId: string | null;
  readonly decorations?: readonly Decoration[];
}

/** More pieces alike, or more piles in all, than these are weighed as one list, over and over. */
const MOST_LISTED = { pieces: 200, piles: 4000 } as const;

const decorationPiles = (piece: number, decorations: readonly Decoration[]): readonly ScalePile[] =>
  decorations.flatMap(d =>
    d.grams === null || d.grams <= 0
      ? []
      : [
          {
            id: [piece, 'd', d.id].join('.'),
            piece,
            face: d.name,
            layer: null,
            woolId: d.woolId,
            grams: d.grams,
            decoration: d.name,
          },
        ],
  );

/** What lies in the middle of a body by its own weight. */
const apartPiles = (piece: number, { apart }: WeighPlan, of: PieceWools): readonly ScalePile[] =>
  apart.map(({ name, grams }, n) => ({
    id: [piece, 'a', n + 1].join('.'),
    piece,
    face: name,
    layer: null,
    woolId: partsOf(of.colours, n, of.woolId)[0]?.woolId ?? null,
    grams,
    decoration: name,
    part: n + 1,
  }));

/**
 * Every pile of a plan in the order it is weighed: piece by piece, face by face, layer by layer, wool by wool; what is laid
 * beside the layers comes last. Each layer's piles sum to it exactly.
 */
export const pileList = (weigh: WeighPlan, of: PieceWools): readonly ScalePile[] => {
  const each = weigh.faces.reduce((sum, face) => sum + face.layers.length, 0);
  const isListed = weigh.times <= MOST_LISTED.pieces && weigh.times * each <= MOST_LISTED.piles;
  const pieces = isListed ? weigh.times : 1;
  return Array.from({ length: pieces }, (_, k) => [
    ...apartPiles(k + 1, weigh, of),
    ...weigh.faces.flatMap((face, f) =>
      face.layers.flatMap((grams, l) => {
        // Each heap of a body may be of a wool of its own, as each layer of a wall may.
        const inBody = weigh.apart.length + f;
        const parts = partsOf(of.colours, face.isHeap ? inBody : l, of.woolId);
        const weights = parts.map(p => p.share);
        const all = weights.reduce((a, b) => a + b, 0);
        // A trace of a colour is a pile too.
        const lightest = Math.min(...weights.filter(w => w > 0).map(w => (grams * w) / all));
        const shares = divide(
          grams,
          weights,
          lightest < weigh.stepG ? stepFor(weigh.stepG, lightest) : weigh.stepG,
        );
        return parts.map((part, p): ScalePile => ({
          id: [k + 1, f + 1, l + 1, p + 1].join('.'),
          piece: k + 1,
          face: face.name,
          layer: !face.isHeap && (face.layers.length > 1 || face.equal === 1) ? l + 1 : null,
          woolId: part.woolId,
          grams: shares[p] ?? 0,
          ...(face.isHeap ? { part: inBody + 1 } : {}),
        }));
      }),
    ),
    ...decorationPiles(k + 1, of.decorations ?? []),
  ]).flat();
};

/** Steps that take a whole heap of a body. */
const HEAPS: ReadonlySet<LayAct> = new Set(['wind', 'wad', 'wrap', 'twist']);

/**
 * Which of the piles a step of laying takes: those of its layer on its face, or on every face where it is laid wide; a heap of a
 * body; or what is laid beside the layers.
 * @param piles of one piece
 */
export const pilesOfStep = (step: LayStep, piles: readonly ScalePile[]): readonly ScalePile[] => {
  const starting = (start: readonly (string | null)[]): readonly ScalePile[] =>
    piles.filter(p => start.every((part, i) => part === null || p.id.split('.')[i] === part));
  if (step.what) return step.act === 'decorate' ? starting(['1', 'd', step.what.id]) : [];
  if (step.act === 'lay') {
    const laid = starting(['1', step.isWide ? null : String(step.face), String(step.layer)]);
    return laid.filter(p => p.decoration === undefined);
  }
  return HEAPS.has(step.act) ? piles.filter(p => p.piece === 1 && p.part === step.face) : [];
};

/**
 * Grams of each wool for a whole plan, its part of the reserve beside them; a decoration is weighed as it is and has no part
 * of the reserve. Null is the wool not chosen yet.
 */
export const woolNeeds = (
  weigh: WeighPlan,
  of: PieceWools,
): ReadonlyArray<{ readonly woolId: string | null; readonly grams: number }> => {
  const piles = pileList({ ...weigh, times: 1 }, of);
  const laid = piles.filter(p => p.decoration === undefined).reduce((sum, p) => sum + p.grams, 0);
  const needs = new Map<string | null, number>();
  for (const { woolId, grams, decoration } of piles) {
    const reserve = decoration === undefined && laid > 0 ? (weigh.reserve * grams) / laid : 0;
    needs.set(woolId, (needs.get(woolId) ?? 0) + grams * weigh.times + reserve);
  }
  return [...needs].map(([woolId, grams]) => ({ woolId, grams }));
};
