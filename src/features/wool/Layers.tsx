import type { fibreDirection } from '../../core/wool/layOrder';
import type { Role, Scene } from '../../drawing/scene';
import { Choice } from '../../ui/Choice';

const HATCH_MM = 9;

type Way = ReturnType<typeof fibreDirection>;

/** Which way a layer's fibres lie, in words. */
export const directionWords = (way: Way): string =>
  way === 0 ? 'along' : way === 90 ? 'across' : way === 'radial' ? 'outwards' : 'every way';

/** The shown layer on the drawing: its wool, and the way its fibres lie, to scale. */
export const LayerPattern = ({
  colour,
  deg,
  fibres,
}: {
  readonly colour: string;
  readonly deg: number;
  /** False for a solid, whose fibres lie every way. */
  readonly fibres: boolean;
}) => (
  <defs>
    <pattern
      id="layer"
      width={4 * HATCH_MM}
      height={HATCH_MM}
      patternUnits="userSpaceOnUse"
      patternTransform={`rotate(${deg})`}
    >
      <rect width={4 * HATCH_MM} height={HATCH_MM} fill={colour} fillOpacity={0.55} />
      {fibres && (
        <path
          d={`M0 ${HATCH_MM / 4}h${3 * HATCH_MM}M${2 * HATCH_MM} ${(3 * HATCH_MM) / 4}h${2 * HATCH_MM}M0 ${(3 * HATCH_MM) / 4}h${HATCH_MM}`}
          stroke="#fff"
          strokeOpacity={0.75}
          strokeWidth={1.2}
        />
      )}
    </pattern>
  </defs>
);

/** Fills where the wool lies with the shown layer: its own outline where there is a fold-over, else the laid one. */
export const layerFill = (scene: Scene): ((role: Role) => string | undefined) => {
  const lies: Role = scene.shapes.some(s => s.role === 'wool') ? 'wool' : 'laid';
  return role => (role === lies ? 'url(#layer)' : undefined);
};

/** Which layer is shown on the drawing. */
export const LayerChoice = ({
  layers,
  shown,
  way,
  onShow,
}: {
  readonly layers: number;
  readonly shown: number;
  readonly way: Way;
  readonly onShow: (index: number) => void;
}) => (
  <div className="mb-4 flex flex-wrap items-center gap-3">
    <Choice
      label="Layer on the table"
      value={String(shown)}
      options={Array.from({ length: layers }, (_, i) => ({
        value: String(i),
        text: i + 1,
        name: `layer ${i + 1}`,
      }))}
      onChoose={v => onShow(Number(v))}
    />
    <p>
      Layer {shown + 1} lies {directionWords(way)}.
    </p>
  </div>
);
