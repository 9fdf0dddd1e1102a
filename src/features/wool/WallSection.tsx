import type { fibreDirection } from '../../core/wool/layOrder';
import type { FaceWeight } from '../../core/wool/weigh';
import { directionWords } from '../../words/laying';

const ROW = 40;
const WIDTH = 380;
/** How wide a layer is drawn, and where its grams stand beside it. */
const STRATUM = 180;
const GRAMS_X = 260;

/** How fibres look where the wall is cut along: whole, in their ends, or both. A cut from the middle has them whole. */
const IN_SECTION = {
  0: 'fibres-along',
  90: 'fibres-across',
  radial: 'fibres-along',
  random: 'fibres-every',
} as const;

const Stratum = (props: {
  readonly index: number;
  readonly grams: string;
  readonly colour: string;
  readonly y: number;
  readonly way: ReturnType<typeof fibreDirection>;
}) => {
  const pattern = IN_SECTION[props.way];
  return (
    <g>
      <rect
        x={70}
        y={props.y}
        width={STRATUM}
        height={ROW - 6}
        fill={props.colour}
        className="stroke-ink"
        strokeWidth={1}
      />
      <rect x={70} y={props.y} width={STRATUM} height={ROW - 6} fill={`url(#${pattern})`} />
      <text x={62} y={props.y + 23} textAnchor="end" className="fill-ink text-[15px]">
        layer {props.index + 1}
      </text>
      <text x={GRAMS_X} y={props.y + 23} className="fill-ink text-[16px] font-semibold">
        {props.grams}
      </text>
      <text x={WIDTH - 4} y={props.y + 23} textAnchor="end" className="fill-chalk text-[14px]">
        {directionWords(props.way)}
      </text>
    </g>
  );
};

/** The wall in section: the first layer laid stands at the bottom, next to the resist; it is the inside, unless the piece is turned. */
export const WallSection = (props: {
  readonly face: FaceWeight;
  /** The colour of a layer, the one laid first at 0: of several wools, that of which there is most. */
  readonly colourOf: (layer: number) => string;
  readonly wayOf: (layer: number) => ReturnType<typeof fibreDirection>;
  readonly onResist: boolean;
  /** True where it is turned inside out: what is laid first is the outside then. */
  readonly isTurnedOut: boolean;
  readonly mass: (grams: number) => string;
}) => {
  const { layers } = props.face;
  const height = layers.length * ROW + 44;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="w-full"
      role="img"
      aria-label={`Wall of ${props.face.name} in section, ${layers.length} layers, the first laid at the bottom`}
    >
      <defs>
        <pattern id="fibres-along" width="14" height="7" patternUnits="userSpaceOnUse">
          <path d="M0 3.5H10" stroke="#fff" strokeOpacity="0.75" strokeWidth="1.2" />
        </pattern>
        <pattern id="fibres-across" width="7" height="7" patternUnits="userSpaceOnUse">
          <circle cx="3.5" cy="3.5" r="1.3" fill="#fff" fillOpacity="0.8" />
        </pattern>
        <pattern id="fibres-every" width="20" height="14" patternUnits="userSpaceOnUse">
          <path d="M1 4l6 2M12 3l5-2M9 11l6-3" stroke="#fff" strokeOpacity="0.75" strokeWidth="1.2" />
          <circle cx="3" cy="11" r="1.3" fill="#fff" fillOpacity="0.8" />
          <circle cx="17" cy="12" r="1.3" fill="#fff" fillOpacity="0.8" />
        </pattern>
      </defs>
      <text x={70} y={13} className="fill-chalk text-[13px]">
        {props.isTurnedOut ? 'inside once it is turned, laid last' : 'outside, laid last'}
      </text>
      {layers.map((grams, i) => (
        <Stratum
          key={i}
          index={i}
          grams={props.mass(grams)}
          colour={props.colourOf(i)}
          way={props.wayOf(i)}
          y={18 + (layers.length - 1 - i) * ROW}
        />
      ))}
      <line
        x1={70}
        x2={70 + STRATUM}
        y1={height - 22}
        y2={height - 22}
        className="stroke-laid"
        strokeWidth={3}
      />
      <text x={70} y={height - 6} className="fill-chalk text-[13px]">
        {props.isTurnedOut
          ? 'resist: laid first, the outside once it is turned'
          : props.onResist
            ? 'resist: this is the inside of the piece'
            : 'the table: laid first'}
      </text>
    </svg>
  );
};
