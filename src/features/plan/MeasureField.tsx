import type { MeasureSpec, SizeTable } from '../../core/forms/formKind';
import type { Plan } from '../../core/plan/makePlan';
import { setMeasure } from '../../core/plan/setLink';
import { MM_PER_INCH } from '../../core/units/constants';
import { type Dimension, homeUnit, showFigure, type UnitSystem } from '../../core/units/units';
import type { PieceContext } from '../../session/pieceContext';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { Select, wordOptions } from '../../ui/Select';
import { Why } from '../../ui/Why';

interface FieldProps {
  readonly context: PieceContext;
  readonly plan: Plan;
  readonly spec: MeasureSpec;
  readonly onDrawing?: boolean;
}

/** How far an arrow key steps, in stored units. */
const stepOf = (dimension: Dimension, units: UnitSystem): number => {
  if (dimension === 'length') return units === 'metric' ? 5 : MM_PER_INCH / 4;
  if (dimension === 'thickness') return units === 'metric' ? 0.5 : MM_PER_INCH / 32;
  return dimension === 'share' ? 0.01 : 1;
};

/** Sizes that a measure may be taken from, with their source. */
const FromTable = (props: {
  readonly table: SizeTable;
  readonly label: string;
  readonly value: number;
  readonly onMm: (mm: number) => void;
}) => {
  const { table, value } = props;
  const now = table.rows.find(r => Math.abs(r.mm - value) < 0.05);
  return (
    <span className="flex items-center">
      <Select
        className="w-36 text-[13px]"
        hideLabel
        label={`${props.label} from ${table.name}`}
        value={now?.text ?? ''}
        options={[{ value: '', text: `by ${table.name}` }, ...wordOptions(table.rows.map(r => r.text))]}
        onPick={text => {
          const row = table.rows.find(r => r.text === text);
          if (row) props.onMm(row.mm);
        }}
      />
      <Why of={`these ${table.name}s`}>
        <p>{table.source}</p>
      </Why>
    </span>
  );
};

/** One finished measure of the form. */
export const MeasureField = ({ context, plan, spec, onDrawing = false }: FieldProps) => {
  const { units } = context.settings;
  const value = plan.measures[spec.id];
  if (value === undefined) return null;
  const put = (v: number): void =>
    context.changePlan(p => setMeasure(p, spec.id, v), { label: spec.label, key: `m.${spec.id}` });
  if (spec.dimension === 'choice')
    return (
      <div className="flex w-full flex-wrap items-center gap-x-3 gap-y-1" title={spec.hint}>
        <span className="text-[13px] text-chalk">{spec.label}</span>
        <Choice
          label={spec.label}
          value={String(value)}
          options={(spec.options ?? []).map(o => ({ value: String(o.value), text: o.text }))}
          onChoose={v => put(Number(v))}
        />
      </div>
    );
  const dimension = spec.dimension ?? 'length';
  const step = stepOf(dimension, units);
  const field = (
    <NumberField
      className={onDrawing ? 'w-[7.4rem] rounded-bench bg-soap/85 px-1' : 'w-28'}
      label={spec.label}
      strong={onDrawing}
      guess={spec.follows ?? false}
      shown={showFigure(value, dimension, { units })}
      unit={homeUnit(dimension, units)}
      read={reader(dimension, units, spec)}
      onStep={n => put(Math.min(spec.max, Math.max(spec.min, (Math.round(value / step) + n) * step)))}
      onValue={v => put(dimension === 'count' ? Math.round(v) : v)}
    />
  );
  if (onDrawing) return field;
  return (
    <div className="flex w-[11.5rem] flex-col">
      {field}
      <span className="text-[12px] leading-tight text-chalk">
        {spec.follows ? `worked out: ${spec.hint}` : spec.hint}
      </span>
      {spec.table && <FromTable table={spec.table} label={spec.label} value={value} onMm={put} />}
    </div>
  );
};
