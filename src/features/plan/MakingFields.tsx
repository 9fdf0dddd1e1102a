import { distinctFaces } from '../../core/forms/distinctFaces';
import type { Plan } from '../../core/plan/makePlan';
import { setAsItComes } from '../../core/plan/newPlan';
import { setMeasuredOn, setPieces } from '../../core/plan/setLink';
import type { UnitSystem } from '../../core/units/units';
import { type Settings, SNAP_NAMES } from '../../records/settings';
import type { PieceContext } from '../../session/pieceContext';
import { useChangeSettings } from '../../session/useChanges';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { Why } from '../../ui/Why';

const MOST_ALIKE = 9999;

const SNAP_WORDS: Readonly<Record<UnitSystem, Readonly<Record<Settings['snap'], string>>>> = {
  metric: { whole: '1 cm', half: '½ cm', fine: '1 mm' },
  imperial: { whole: '½ in', half: '¼ in', fine: '⅛ in' },
};

/** What a dragged length snaps to. Typing takes any figure. */
const SnapChoice = ({ context }: { readonly context: PieceContext }) => {
  const change = useChangeSettings();
  const { units, snap } = context.settings;
  return (
    <span className="flex flex-col">
      <span className="text-[13px] text-chalk">Snap dragging to</span>
      <Choice
        label="Snap dragging to"
        value={snap}
        options={SNAP_NAMES.map(value => ({ value, text: SNAP_WORDS[units][value] }))}
        onChoose={value => change({ snap: value })}
      />
    </span>
  );
};

/** How many alike, and where lengths were measured. */
export const MakingFields = ({ context, plan }: { readonly context: PieceContext; readonly plan: Plan }) => {
  const { pieces, form, asItComes } = context.piece.plan;
  const { units } = context.settings;
  const hasOutside = plan.kind.specs(plan.measures).some(s => s.outside !== undefined);
  return (
    <>
      <NumberField
        className="w-24"
        label="How many alike"
        shown={String(pieces)}
        unit={pieces === 2 ? 'a pair' : ''}
        read={reader('count', units, { min: 1, max: MOST_ALIKE })}
        onStep={n =>
          context.changePlan(p => setPieces(p, Math.min(MOST_ALIKE, Math.max(1, p.pieces + n))), {
            label: 'pieces',
            key: 'pieces',
          })
        }
        onValue={v =>
          context.changePlan(p => setPieces(p, Math.round(v)), { label: 'pieces', key: 'pieces' })
        }
      />
      <span className="flex flex-col">
        <span className="text-[13px] text-chalk">Finished size</span>
        <Choice
          label="Finished size"
          value={asItComes ? 'comes' : 'wanted'}
          options={[
            { value: 'wanted', text: 'to be reached' },
            { value: 'comes', text: 'as it comes' },
          ]}
          onChoose={v => context.changePlan(p => setAsItComes(p, v === 'comes'), { label: 'finished size' })}
        />
      </span>
      <SnapChoice context={context} />
      {hasOutside && (
        <span className="flex items-end">
          <span className="flex flex-col">
            <span className="text-[13px] text-chalk">Measured</span>
            <Choice
              label="Measured"
              value={form.measuredOn}
              options={[
                { value: 'inside', text: 'inside' },
                { value: 'outside', text: 'outside' },
              ]}
              onChoose={v => context.changePlan(p => setMeasuredOn(p, v), { label: 'inside or outside' })}
            />
          </span>
          <Why of="inside or outside">
            <p>
              Inside measures are those of what has to fit in. Measured over the wall, a width or diameter is
              two walls larger, a girth 2π walls, a height from a closed end one wall.
            </p>
          </Why>
        </span>
      )}
    </>
  );
};

/** What is laid on which face, for a form whose faces differ. */
export const FaceChoice = (props: {
  readonly plan: Plan;
  readonly face: number;
  readonly onFace: (face: number) => void;
}) => {
  const { faces } = props.plan.form;
  return distinctFaces(props.plan.form).length > 1 ? (
    <span className="flex flex-col">
      <span className="text-[13px] text-chalk">Drawn</span>
      <Choice
        label="Side on the table"
        value={String(props.face)}
        options={faces.map((f, i) => ({ value: String(i), text: f.name }))}
        onChoose={v => props.onFace(Number(v))}
      />
    </span>
  ) : null;
};
