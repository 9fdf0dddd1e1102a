import type { Act } from '../../core/acts/act';
import { markName } from '../../core/acts/pieceMark';
import type { Gauge } from '../../core/forms/formKind';
import type { ManyAlike } from '../../core/log/manyAlike';
import { type SampleOfMany, sampleOfMany } from '../../core/log/sampleOfMany';
import { showQuantity, type UnitSystem } from '../../core/units/units';
import { Button } from '../../ui/Button';
import { PanelFrame } from './PanelFrame';

/** More than these are not listed one by one. */
const MOST_LISTED = 120;

const Sample = (props: {
  readonly sample: SampleOfMany;
  readonly pieces: number;
  readonly units: UnitSystem;
}) => {
  const { sample, pieces, units } = props;
  const { gaugeId, count, meanMm, sdMm, odd } = sample;
  const show = (mm: number): string => showQuantity(mm, 'length', units);
  return (
    <p>
      <b>{gaugeId}</b>: {count} of {pieces} measured, {show(meanMm)} on average
      {sdMm === null ? '' : `, most within ${showQuantity(sdMm, 'thickness', units)} of that`}.
      {odd.map(o => (
        <span key={o.piece} className="block border-l-4 border-wanted pl-3">
          Piece {o.piece} is the odd one out: {show(o.mm)}.
        </span>
      ))}
    </p>
  );
};

/** Every piece alike: through, put aside and why, or still to do; a tap takes it up. What was measured of them stands below. */
export const ManyPanel = (props: {
  readonly many: ManyAlike;
  readonly pieces: number;
  readonly gauges: readonly Gauge[];
  readonly units: UnitSystem;
  readonly onLog: (act: Act) => void;
  readonly onCancel: () => void;
}) => {
  const { many, pieces, units } = props;
  const samples = sampleOfMany(many, props.gauges);
  const stands = (piece: number): string => {
    if (piece === many.inHand) return 'in hand';
    if (many.through.includes(piece)) return 'done';
    const mark = many.aside.get(piece);
    return mark ? markName(mark) : 'to do';
  };
  return (
    <PanelFrame title="Pieces" label="Pieces" onCancel={props.onCancel} back="Back">
      <p className="text-[15px] text-chalk">Tap one to take it in hand.</p>
      <div className="grid grid-cols-4 gap-2 sm:grid-cols-6">
        {Array.from({ length: Math.min(pieces, MOST_LISTED) }, (_, i) => i + 1).map(piece => (
          <Button
            key={piece}
            size="wet"
            className={`!flex-col !gap-0 !px-1 ${piece === many.inHand ? 'outline-4 outline-now' : ''}`}
            aria-pressed={piece === many.inHand}
            onClick={() =>
              piece === many.inHand ? props.onCancel() : props.onLog({ kind: 'takeUp', piece })
            }
          >
            <span className="text-2xl font-semibold">{piece}</span>
            <span className="text-[13px] leading-tight font-normal text-chalk">{stands(piece)}</span>
          </Button>
        ))}
      </div>
      {samples.length === 0 ? (
        <p className="text-chalk">Measure some of them to see how alike they are.</p>
      ) : (
        samples.map(s => <Sample key={s.gaugeId} sample={s} pieces={pieces} units={units} />)
      )}
    </PanelFrame>
  );
};
