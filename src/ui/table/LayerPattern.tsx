import { useMemo } from 'react';
import type { Box } from '../../core/outline/polygon';
import { type Dash, radialDashes, strewnDashes } from '../../drawing/fibreDashes';
import type { Role, Scene } from '../../drawing/scene';

const HATCH_MM = 9;

/** Fibres of a layer that lies one way, to scale, as a tile of its pattern. */
const ONE_WAY = `M0 ${HATCH_MM / 4}h${3 * HATCH_MM}M${2 * HATCH_MM} ${(3 * HATCH_MM) / 4}h${2 * HATCH_MM}M0 ${(3 * HATCH_MM) / 4}h${HATCH_MM}`;

const pathOf = (dashes: readonly Dash[]): string =>
  dashes.map(([a, b]) => `M${a.x.toFixed(1)} ${a.y.toFixed(1)}L${b.x.toFixed(1)} ${b.y.toFixed(1)}`).join('');

/** The shown layer on the drawing: its wool, and the way its fibres lie, to scale. */
export const LayerPattern = (props: {
  readonly colour: string;
  /** Degrees on the table, or every way; null for a solid, which has no layers to show. */
  readonly way: number | 'radial' | 'random' | null;
  /** Where it lies, mm. */
  readonly box: Box;
}) => {
  const { way, box } = props;
  const path = useMemo(
    () =>
      way === 'radial'
        ? pathOf(radialDashes(box, HATCH_MM, 4 * HATCH_MM))
        : way === 'random'
          ? pathOf(strewnDashes(box, HATCH_MM, 4 * HATCH_MM))
          : way === null
            ? ''
            : ONE_WAY,
    [way, box],
  );
  const tile =
    typeof way === 'number'
      ? { x: 0, y: 0, width: 4 * HATCH_MM, height: HATCH_MM }
      : { x: box.minX, y: box.minY, width: box.maxX - box.minX, height: box.maxY - box.minY };
  return (
    <defs>
      <pattern
        id="layer"
        {...tile}
        patternUnits="userSpaceOnUse"
        patternTransform={typeof way === 'number' ? `rotate(${way})` : undefined}
        viewBox={`${tile.x} ${tile.y} ${tile.width} ${tile.height}`}
      >
        <rect {...tile} fill={props.colour} fillOpacity={0.55} />
        <path d={path} stroke="#fff" strokeOpacity={0.75} strokeWidth={1.2} />
      </pattern>
    </defs>
  );
};

/** Fills where the wool lies with the shown layer: its own outline where there is a fold-over, else the laid one. */
export const layerFill = (scene: Scene): ((role: Role) => string | undefined) => {
  const lies: Role = scene.shapes.some(s => s.role === 'wool') ? 'wool' : 'laid';
  return role => (role === lies ? 'url(#layer)' : undefined);
};
