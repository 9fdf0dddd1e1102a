import { useSyncExternalStore } from 'react';

const QUERY = '(min-width: 700px)';
const subscribe = (onChange: () => void): (() => void) => {
  const media = window.matchMedia(QUERY);
  media.addEventListener('change', onChange);
  return () => media.removeEventListener('change', onChange);
};

/** Whether there is room for figures beside the drawing; on a phone they stand in a list. */
export const useRoomy = (): boolean =>
  useSyncExternalStore(subscribe, () => window.matchMedia(QUERY).matches);
