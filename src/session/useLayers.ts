import { fibreDirection } from '../core/wool/layOrder';
import { partsOf } from '../core/wool/pileList';
import type { PieceContext } from './pieceContext';
import { useWools } from './useRecords';

/** How the layers of a piece look: their colour, and which way their fibres lie. The layer laid first is 0. */
export const useLayers = (stage: PieceContext) => {
  const wools = useWools();
  const { colours, woolId, laying } = stage.piece;
  return {
    /** Of several wools, that of which there is most; null where it is not chosen yet. */
    colourOf: (layer: number): string | null => {
      const [most] = partsOf(colours, layer, woolId).toSorted((a, b) => b.share - a.share);
      return wools.find(w => w.id === most?.woolId)?.colour ?? null;
    },
    wayOf: (layer: number) => fibreDirection(laying.fibres, layer),
  };
};
