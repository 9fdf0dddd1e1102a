import { Link } from 'react-router';
import type { Stage } from '../../core/log/stageOf';
import { homeUnit, showFigure, type UnitSystem } from '../../core/units/units';
import type { PieceSummary } from '../../records/summary';
import type { Wool } from '../../records/wool';

const STAGE_PATH: Readonly<Record<Stage, string>> = {
  planned: 'plan',
  bench: 'bench',
  drying: 'bench',
  finished: 'finish',
};

const stageWords = ({ stage, progress }: PieceSummary): string => {
  if (stage === 'planned') return 'planned';
  if (stage === 'finished') return 'finished';
  if (stage === 'drying') return 'drying';
  return progress === null
    ? 'on the bench, not yet measured'
    : `on the bench, ${Math.round(100 * progress)} % of the way`;
};

/** Its size: as it came out when it is finished, else as it is wanted. */
const sizeWords = ({ sizesMm }: PieceSummary, units: UnitSystem): string =>
  `${sizesMm.map(mm => showFigure(mm, 'length', { units })).join(' × ')} ${homeUnit('length', units)}`;

const AROUND_PX = 5;
const EMPTY = { minX: 0, minY: 0, maxX: 100, maxY: 100 };

/** One piece lying on the table, to the same scale as all the others, and a way to it. */
export const PieceOnTable = ({
  piece,
  wool,
  pxPerMm,
  units,
}: {
  readonly piece: PieceSummary;
  readonly wool: Wool | null;
  readonly pxPerMm: number;
  readonly units: UnitSystem;
}) => {
  const { drawing, stage } = piece;
  const box = drawing?.box ?? EMPTY;
  const lines = drawing?.lines ?? [];
  const width = (box.maxX - box.minX) * pxPerMm + 2 * AROUND_PX;
  const height = (box.maxY - box.minY) * pxPerMm + 2 * AROUND_PX;
  const fill = stage === 'planned' ? 'none' : (wool?.colour ?? 'none');
  const isMeasured = lines.some(l => l.role === 'now');
  const felt = isMeasured ? 'now' : stage === 'finished' ? 'wanted' : 'laid';
  return (
    <Link
      to={`/pieces/${piece.id}/${STAGE_PATH[stage]}`}
      className="group flex max-w-72 flex-col items-start gap-1.5 rounded-bench p-1"
    >
      <svg width={width} height={height} aria-hidden="true">
        <g
          transform={`translate(${AROUND_PX - box.minX * pxPerMm} ${AROUND_PX - box.minY * pxPerMm}) scale(${pxPerMm})`}
        >
          {lines.map(({ role, path }, i) => (
            <g key={`${role}${i}`}>
              {role === felt && <path d={path} fill={fill} fillOpacity={0.85} />}
              <path d={path} className={`line line-${role}`} />
            </g>
          ))}
        </g>
      </svg>
      <span className="border-t-2 border-ink pt-1 leading-tight group-hover:underline">
        <span className="block text-lg font-semibold">{piece.name}</span>
        <span className="block">{stageWords(piece)}</span>
        <span className="block text-[13px] text-chalk">
          {drawing ? sizeWords(piece, units) : 'plan needs fixing'}
          {wool && ` · ${wool.name}`}
        </span>
      </span>
    </Link>
  );
};
