import { useCallback } from 'react';
import { history } from './history';
import { useNotify } from './notices';

/** Undo and redo of this tab; one that cannot be kept is told. */
export const useUndo = (): { readonly undo: () => void; readonly redo: () => void } => {
  const { failed } = useNotify();
  return {
    undo: useCallback(() => void history.undo().catch(failed), [failed]),
    redo: useCallback(() => void history.redo().catch(failed), [failed]),
  };
};
