import { useSyncExternalStore } from 'react';
import type { Unsaved } from './unsaved';
import { useWorkshop } from './workshop';

/** What is in this browser only, since the workshop was last saved to a file. */
export const useUnsaved = (): Unsaved => {
  const { unsaved } = useWorkshop();
  return useSyncExternalStore(unsaved.subscribe, unsaved.get);
};
