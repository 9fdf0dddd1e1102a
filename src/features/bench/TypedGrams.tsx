import { homeUnit, type UnitSystem } from '../../core/units/units';
import { FigureKeys } from './FigureKeys';
import type { useTypedGrams } from './useTypedGrams';

/** The weight as it is typed, and the keys for it. */
export const TypedGrams = (props: {
  readonly figure: ReturnType<typeof useTypedGrams>;
  readonly units: UnitSystem;
  readonly label: string;
}) => {
  const { typed, press, back } = props.figure;
  return (
    <>
      <output className="block text-right text-6xl leading-none font-semibold" aria-label={props.label}>
        {typed === '' ? '–' : typed}
        <span className="ml-2 text-3xl font-normal text-chalk">{homeUnit('mass', props.units)}</span>
      </output>
      <FigureKeys onKey={press} onDelete={back} />
    </>
  );
};
