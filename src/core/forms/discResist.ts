import { ellipse } from '../outline/shapes';
import { edgeSurplus } from './edgeSurplus';
import { bothFaces, planEnvelope } from './flatEnvelope';
import type { Fact, FormPlan, Handle, LayingTransform, NamedLine } from './formKind';

/** A form made on a disc, its axis through the middle of a face. */
export interface DiscShape {
  /** Finished diameter of the flat disc: half the path rim–under–rim and half the mouth. */
  readonly diameter: number;
  /** What is cut, finished mm. */
  readonly cuts: readonly NamedLine[];
  readonly handles: readonly Handle[];
  /** Girth that the edge of the disc must become, mm. */
  readonly edgeBecomes: number;
  readonly turned: FormPlan['turned'];
  readonly yields?: number;
  readonly facts?: readonly Fact[];
  readonly hints?: readonly string[];
}

/** A round hole about the middle, to be cut in one face. */
export const roundCut = (name: string, diameter: number): NamedLine => ({
  name,
  line: ellipse(diameter, diameter),
  closed: true,
});

/**
 * A closed disc carries more wool than the round form it becomes: for a ball π²/8 = 1.234 times.
 * Source: two discs of diameter πd/2 against the surface πd².
 */
export const WOOL_OF_DISC_OVER_BALL = Math.PI ** 2 / 8;

/** Disc resist: both faces are discs, laid as ellipses where the two directions shrink differently. */
export const planOnDisc = (shape: DiscShape, laying: LayingTransform): FormPlan => {
  const outline = ellipse(shape.diameter, shape.diameter);
  const plan = planEnvelope(
    {
      faces: bothFaces({ points: outline, open: outline.map(() => false) }),
      handles: shape.handles,
      alongOnTable: 'right',
      overAll: { along: shape.diameter, across: shape.diameter },
      cuts: shape.cuts,
      gaugeNames: ['across the disc', 'the other way'],
      more: {
        facts: shape.facts ?? [],
        hints: shape.hints ?? [],
        yields: shape.yields ?? 1,
        edgeSurplus: edgeSurplus(Math.PI * shape.diameter, shape.edgeBecomes),
      },
    },
    laying,
  );
  const [ring] = [[...plan.laid.points, ...plan.laid.points.slice(0, 1)]];
  const surplus = plan.edgeSurplus;
  return {
    ...plan,
    edgeSurplus: surplus && { ...surplus, hardest: ring ? [ring] : [] },
    turned: shape.turned,
  };
};
