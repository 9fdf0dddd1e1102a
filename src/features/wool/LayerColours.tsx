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
const capitalised = (words: string): string => `${words[0]?.toUpperCase() ?? ''}${words.slice(1)}`;

/** What the layer on the table is made of: one wool or several, by their shares. */
export const LayerColours = (props: {
  readonly context: PieceContext;
  readonly layer: number;
  /** What it is called, where it is no layer of a wall. */
  readonly name?: string;
}) => {
  const named = props.name ?? `layer ${props.layer + 1}`;
  const { context, layer } = props;
  const { piece } = context;
  const wools = useWools().filter(w => w.deletedAt === null || piece.woolId === w.id);
  const parts = partsOf(piece.colours, layer, piece.woolId);
  const { units } = context.settings;
  // Of what it is made of by then: two changes may come quicker than they are drawn.
  const put = (now: (was: readonly LayerPart[]) => readonly LayerPart[], label: string): void =>
    context.change(p => withLayer(p, layer, now(partsOf(p.colours, layer, p.woolId))), { label });
  const change = (i: number, more: Partial<LayerPart>): void =>
    put(was => was.map((p, k) => (k === i ? { ...p, ...more } : p)), 'wool of a layer');
  return (
    <fieldset className="mb-3">
      <legend className="text-[13px] text-chalk">{capitalised(named)} is made of</legend>
      <ul className="flex flex-col gap-1">
        {parts.map((part, i) => (
          <li key={i} className="flex flex-wrap items-end gap-2">
            <Select
              className="flex-1"
              hideLabel
              label={`Wool ${i + 1} of ${named}`}
              value={part.woolId ?? ''}
              options={namedOptions(wools, 'not chosen yet')}
              onPick={id => change(i, { woolId: id === '' ? null : id })}
            />
            {parts.length > 1 && (
              <>
                <NumberField
                  className="w-20"
                  hideLabel
                  label={`Share ${i + 1} of ${named}`}
                  shown={showFigure(part.share, 'share', { units })}
                  unit="%"
                  read={reader('share', units, { min: 0, max: 100 })}
                  onValue={share => change(i, { share })}
                />
                <Button
                  look="bare"
                  aria-label={`Leave wool ${i + 1} out of ${named}`}
                  onClick={() => put(was => was.filter((_, k) => k !== i), 'leave a wool out')}
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
            put(was => [...was, { woolId: null, share: 1 / was.length }], 'another wool in a layer')
          }
        >
          Another wool in {props.name === undefined ? 'this layer' : `the ${props.name}`}
        </Button>
      )}
    </fieldset>
  );
};
