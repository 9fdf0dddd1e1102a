import { LIMITS } from '../../core/limits';
import type { UnitSystem } from '../../core/units/units';
import { PanelFrame } from './PanelFrame';
import { TypedGrams } from './TypedGrams';
import { useTypedGrams } from './useTypedGrams';

/** Weighed while it dries: the figure says whether there is still water in it. */
export const DryWeightPanel = (props: {
  readonly units: UnitSystem;
  /** True where there are many alike: then it is one of them. */
  readonly isMany: boolean;
  readonly onWeighed: (grams: number) => void;
  readonly onCancel: () => void;
}) => {
  const figure = useTypedGrams(props.units, {
    least: 0.1,
    most: LIMITS.weighedG.most,
    onDone: props.onWeighed,
    does: 'weighed',
  });
  return (
    <PanelFrame
      title={props.isMany ? 'Weigh one of them' : 'Weigh it'}
      label="Weigh it"
      onCancel={props.onCancel}
      great={{ words: 'Weighed', isDisabled: !figure.good, run: figure.done }}
      keys={figure.keys}
    >
      <TypedGrams figure={figure} units={props.units} label="Weight" />
      <p className="text-lg">Dry is when it weighs what it must, or loses nothing within an hour.</p>
    </PanelFrame>
  );
};
