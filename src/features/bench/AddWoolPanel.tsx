import { useState } from 'react';
import type { UnitSystem } from '../../core/units/units';
import { UNDYED } from '../../core/wool/undyed';
import type { Wool } from '../../records/wool';
import { Button } from '../../ui/Button';
import { PanelFrame } from './PanelFrame';
import { TypedGrams } from './TypedGrams';
import { useTypedGrams } from './useTypedGrams';

/** More wool than a bench ever needs at once, g. */
const MOST_G = 5000;

/** Wool laid on beside the plan: over a thin spot, or where a colour ran out. It goes off the shelf and into the sum of the piece. */
export const AddWoolPanel = (props: {
  /** The wools of the piece first. */
  readonly wools: readonly Wool[];
  readonly units: UnitSystem;
  /** While a layer is laid: what takes its place from here on; null where nothing is laid any more. */
  readonly onFromHere: ((woolId: string) => void) | null;
  readonly onAdd: (of: { readonly woolId: string | null; readonly grams: number }) => void;
  readonly onCancel: () => void;
}) => {
  const { wools, units, onFromHere } = props;
  const [woolId, setWool] = useState<string | null>(wools[0]?.id ?? null);
  const [isFromHere, setFromHere] = useState(false);
  const figure = useTypedGrams(units, {
    least: 0.01,
    most: MOST_G,
    does: 'added',
    onDone: grams => {
      if (isFromHere && woolId !== null) onFromHere?.(woolId);
      props.onAdd({ woolId, grams });
    },
  });
  return (
    <PanelFrame
      title="Add wool"
      label="Add wool"
      onCancel={props.onCancel}
      great={{ words: 'Added', isDisabled: !figure.good, run: figure.done }}
      keys={figure.keys}
    >
      <TypedGrams figure={figure} units={units} label="How much" />
      <div role="group" aria-label="Which wool" className="grid grid-cols-2 gap-2 sm:grid-cols-3">
        {wools.map(w => (
          <Button
            key={w.id}
            size="wet"
            look={w.id === woolId ? 'main' : 'plain'}
            aria-pressed={w.id === woolId}
            className="!justify-start !px-2 !text-left !text-base !leading-tight"
            onClick={() => setWool(w.id)}
          >
            <span
              className="size-6 shrink-0 rounded-full border border-rim"
              style={{ background: w.colour || UNDYED }}
            />
            <span className="line-clamp-2">{w.name}</span>
          </Button>
        ))}
      </div>
      {onFromHere && (
        <Button
          size="wet"
          look={isFromHere ? 'main' : 'plain'}
          aria-pressed={isFromHere}
          onClick={() => setFromHere(!isFromHere)}
        >
          The other ran out: this wool from here on
        </Button>
      )}
    </PanelFrame>
  );
};
