import { useCallback } from 'react';
import { ISSUES } from '../words/issues';
import type { Undone } from './history';
import { useNotify } from './notices';
import { useWorkshop } from './workshop';

/** Undo and redo of this tab; one that cannot be kept, or that others have overtaken, is told. */
export const useUndo = (): { readonly undo: () => void; readonly redo: () => void } => {
  const { history } = useWorkshop();
  const { failed, tell } = useNotify();
  const told = useCallback(
    (doing: Promise<Undone | null>): void => {
      doing.then(undone => {
        if (undone && undone.overtaken > 0)
          tell({ text: `${undone.label}: ${ISSUES.UNDO_OVERTAKEN.message}` });
      }, failed);
    },
    [failed, tell],
  );
  return {
    undo: useCallback(() => told(history.undo()), [history, told]),
    redo: useCallback(() => told(history.redo()), [history, told]),
  };
};
