import type { Hand } from './hand';
import type { Layer } from './layOut';

/** One way to lay a face: in which layers, and by which hand. */
export interface WayToLay {
  readonly layers: readonly Layer[];
  readonly hand: Hand;
}

/**
 * The same wool in as many layers, pulled as finely: twice the layers are of wisps half as heavy, so that each layer has as
 * many wisps as before.
 * @param grams of the face, g  @param planned layers of the plan, whole, ≥ 1  @param layers to lay it in, whole, ≥ 1
 * @param directionOf which way the fibres of a layer lie, the one laid first at 0
 */
export const wayToLay = (of: {
  readonly grams: number;
  readonly planned: number;
  readonly layers: number;
  readonly hand: Hand;
  readonly directionOf: (layer: number) => Layer['directionDeg'];
}): WayToLay => ({
  hand: { ...of.hand, grams: (of.hand.grams * of.planned) / of.layers },
  layers: Array.from({ length: of.layers }, (_, i) => ({
    grams: of.grams / of.layers,
    directionDeg: of.directionOf(i),
  })),
});
