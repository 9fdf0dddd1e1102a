import { withLayer } from '../../records/piece';
import type { PieceContext } from '../../session/pieceContext';
import { useWools } from '../../session/useRecords';
import { AddWoolPanel } from './AddWoolPanel';
import type { ActSelection } from './useActSelection';
import type { LayingProgress } from './useLaying';

/** Wool added at the bench: logged, off its shelf, and in the plan where it takes over from another. */
export const AddWool = (props: {
  readonly acting: ActSelection;
  readonly context: PieceContext;
  readonly laying: LayingProgress;
}) => {
  const { acting, context, laying } = props;
  const { piece } = context;
  const all = useWools().filter(w => w.deletedAt === null);
  const own = new Set([piece.woolId, ...piece.colours.flat().map(p => p.woolId)]);
  // What is typed is for the rest of this layer; those after it are planned, needed and weighed of the new wool.
  const fromHere = (woolId: string): void =>
    context.change(
      p =>
        Array.from({ length: laying.layers - laying.layer - 1 }, (_, i) => laying.layer + 1 + i).reduce(
          (next, layer) => withLayer(next, layer, [{ woolId, share: 1 }]),
          p,
        ),
      { label: 'another wool from here on' },
    );
  return (
    <AddWoolPanel
      wools={[...all.filter(w => own.has(w.id)), ...all.filter(w => !own.has(w.id))]}
      units={context.settings.units}
      onFromHere={laying.isNow && laying.isLayer ? fromHere : null}
      onAdd={({ woolId, grams }) => acting.log({ kind: 'addWool', woolId, grams, at: null })}
      onCancel={() => acting.setPanel(null)}
    />
  );
};
