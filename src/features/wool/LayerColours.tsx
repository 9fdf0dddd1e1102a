import type { LayerPart } from '../../core/wool/pileList';
import { partsOf } from '../../core/wool/pileList';
import { showFigure } from '../../core/units/units';
import type { Piece } from '../../records/piece';
import type { PieceStage } from '../../session/pieceStage';
import { useWools } from '../../session/useRecords';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';

/** The layers' wools with one layer changed; a layer like the piece's own wool needs no naming. */
const withLayer = (piece: Piece, layer: number, parts: readonly LayerPart[]): Piece => {
  const colours = Array.from({ length: Math.max(piece.colours.length, layer + 1) }, (_, i) =>
    i === layer ? [...parts] : [...(piece.colours[i] ?? [])],
  );
  while (colours.at(-1)?.length === 0) colours.pop();
  return { ...piece, colours };
};

const MOST_PARTS = 6;

/** What the layer on the table is laid of: one wool or several, by their shares. */
export const LayerColours = ({ stage, layer }: { readonly stage: PieceStage; readonly layer: number }) => {
  const { piece } = stage;
  const wools = useWools().filter(w => w.deletedAt === null || piece.woolId === w.id);
  const parts = partsOf(piece.colours, layer, piece.woolId);
  const { units } = stage.settings;
  const put = (next: readonly LayerPart[], label: string): void =>
    stage.change(p => withLayer(p, layer, next), { label });
  const change = (i: number, more: Partial<LayerPart>): void =>
    put(
      parts.map((p, k) => (k === i ? { ...p, ...more } : p)),
      'wool of a layer',
    );
  return (
    <fieldset className="mb-3">
      <legend className="text-[13px] text-chalk">Layer {layer + 1} is laid of</legend>
      <ul className="flex flex-col gap-1">
        {parts.map((part, i) => (
          <li key={i} className="flex flex-wrap items-end gap-2">
            <select
              aria-label={`Wool ${i + 1} of layer ${layer + 1}`}
              className="min-h-9 min-w-0 flex-1 rounded-bench border border-rim bg-soap px-2"
              value={part.woolId ?? ''}
              onChange={e => change(i, { woolId: e.target.value === '' ? null : e.target.value })}
            >
              <option value="">not chosen yet</option>
              {wools.map(w => (
                <option key={w.id} value={w.id}>
                  {w.name}
                </option>
              ))}
            </select>
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
