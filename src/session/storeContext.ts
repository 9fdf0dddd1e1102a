import { createContext, useContext } from 'react';
import type { MergeReport, Store } from '../store/store';

export type { MergeReport };

export const StoreContext = createContext<Store | null>(null);

/** The store of this tab. */
export const useStore = (): Store => {
  const store = useContext(StoreContext);
  if (!store) throw new Error('The store is not provided.');
  return store;
};
