import { useNavigate } from 'react-router';
import type { StoredRecord } from '../records/common';
import type { Kind } from '../records/kind';
import { useNotify } from './notices';
import { useAdd } from './useChanges';

/** Puts a new record in and goes to its view. @param viewOf address of its view */
export const useAddAndOpen = <T extends StoredRecord>(
  kind: Kind<T>,
  viewOf: (id: string) => string,
): ((record: T) => void) => {
  const add = useAdd(kind);
  const navigate = useNavigate();
  const { failed } = useNotify();
  return record => {
    add(record)
      .then(() => navigate(viewOf(record.id)))
      .catch(failed);
  };
};
