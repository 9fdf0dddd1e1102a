import type { ChainQuantity } from '../../core/chain/quantities';
import { explain, type FormulaInput } from '../../core/plan/explain';
import type { Plan } from '../../core/plan/makePlan';
import type { PlanInput } from '../../core/plan/planInput';
import { showArea } from '../../core/units/showArea';
import { showVolume } from '../../core/units/showVolume';
import { showQuantity, type UnitSystem } from '../../core/units/units';
import { Why } from '../../ui/Why';
import { LINK_FIELDS } from './linkFields';
import { LINK_LABELS, ORIGIN_WORDS, partWords } from '../../words/links';

const figure = (input: FormulaInput, units: UnitSystem): string => {
  if (input.dimension === 'plain') return String(Number(input.value.toFixed(3)));
  if (input.dimension === 'area') return showArea(input.value, units);
  if (input.dimension === 'volume') return showVolume(input.value, units);
  return showQuantity(input.value, input.dimension, units);
};

/** Why a link of the chain has its figure. */
export const WhyLink = (props: {
  readonly link: ChainQuantity;
  readonly input: PlanInput;
  readonly plan: Plan;
  readonly units: UnitSystem;
  readonly more?: string;
}) => {
  const { formula, inputs, origin } = explain(props.input, props.plan, props.link);
  const { dimension } = LINK_FIELDS[props.link];
  const label = LINK_LABELS[props.link];
  return (
    <Why of={label.toLowerCase()}>
      <p className="font-semibold">
        {label} {showQuantity(props.plan.values[props.link] ?? Number.NaN, dimension, props.units)} —{' '}
        {ORIGIN_WORDS[origin]}.
      </p>
      {props.more && <p className="mt-1">{props.more}</p>}
      {formula !== null && <p className="mt-2 font-semibold">{formula}</p>}
      {formula !== null && props.units === 'imperial' && (
        <p className="text-chalk">Worked in mm, g and g/m²; shown in your units.</p>
      )}
      <table className="mt-1">
        <tbody>
          {inputs.map(i => (
            <tr key={i.symbol} className="align-baseline">
              <td className="pr-2 font-semibold">{i.symbol}</td>
              <td className="pr-3 text-right whitespace-nowrap">{figure(i, props.units)}</td>
              <td className="text-chalk">
                {partWords(i.part, props.input.pieces)}; {ORIGIN_WORDS[i.origin]}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Why>
  );
};
