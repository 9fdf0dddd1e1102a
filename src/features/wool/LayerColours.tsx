import type { LayerPart } from '../../core/wool/pileList';
import { partsOf } from '../../core/wool/pileList';
import { showFigure } from '../../core/units/units';
import { withLayer } from '../../records/piece';
import type { PieceContext } from '../../session/pieceContext';
import { useWools } from '../../session/useRecords';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { namedOptions, Select } from '../../ui/Select';

const MOST_PARTS = 6;

/** What the layer on the table is made of: one wool or several, by their shares. */
export const LayerColours = ({
  context,
  layer,
}: {
  readonly context: PieceContext;
  readonly layer: number;
}) => {
  const { piece } = context;
  const wools = useWools().filter(w => w.deletedAt === null || piece.woolId === w.id);
  const parts = partsOf(piece.colours, layer, piece.woolId);
  const { units } = context.settings;
  const put = (next: readonly LayerPart[], label: string): void =>
    context.change(p => withLayer(p, layer, next), { label });
  const change = (i: number, more: Partial<LayerPart>): void =>
    put(
      parts.map((p, k) => (k === i ? { ...p, ...more } : p)),
      'wool of a layer',
    );
  return (
    <fieldset className="mb-3">
      <legend className="text-[13px] text-chalk">Layer {layer + 1} is made of</legend>
      <ul className="flex flex-col gap-1">
        {parts.map((part, i) => (
          <li key={i} className="flex flex-wrap items-end gap-2">
            <Select
              className="flex-1"
              hideLabel
              label={`Wool ${i + 1} of layer ${layer + 1}`}
              value={part.woolId ?? ''}
              options={namedOptions(wools, 'not chosen yet')}
              onPick={id => change(i, { woolId: id === '' ? null : id })}
            />
            {parts.length > 1 && (
              <>
                <NumberField
                  className="w-20"
                  hideLabel
                  label={`Share ${i + 1} of layer ${layer + 1}`}
                  shown={showFigure(part.share, 'share', { units })}
                  unit="%"
                  read={reader('share', units, { min: 0, max: 100 })}
                  onValue={share => change(i, { share })}
                />
                <Button
                  look="bare"
                  aria-label={`Leave wool ${i + 1} out of layer ${layer + 1}`}
                  onClick={() =>
                    put(
                      parts.filter((_, k) => k !== i),
                      'leave a wool out',
                    )
                  }
                >
                  Leave out
                </Button>
              </>
            )}
          </li>
        ))}
      </ul>
      {parts.length < MOST_PARTS && (
        <Button
          className="mt-1"
          onClick={() =>
            put([...parts, { woolId: null, share: 1 / parts.length }], 'another wool in a layer')
          }
        >
          Another wool in this layer
        </Button>
      )}
    </fieldset>
  );
};
