import { useNavigate } from 'react-router';
import type { StoredRecord } from '../records/common';
import type { Kind } from '../records/kind';
import { useNotify } from './notices';
import { useDelete } from './useChanges';
import { useUndo } from './useUndo';

/** Deletes a record, says so with an undo, and goes where its list is. */
export const useDeleteTold = <T extends StoredRecord>(
  kind: Kind<T>,
  backTo?: string,
): ((record: T) => void) => {
  const remove = useDelete(kind);
  const { undo } = useUndo();
  const { tell } = useNotify();
  const navigate = useNavigate();
  return record => {
    const name = kind.nameOf(record);
    remove(record, `delete ${name}`);
    tell({ text: `${name} is deleted.`, action: { label: 'Undo', run: undo } });
    if (backTo !== undefined) void navigate(backTo);
  };
};
