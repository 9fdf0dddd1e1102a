import { useCallback, useSyncExternalStore } from 'react';

/** Widths from which there is room: for figures beside the drawing, and for all a laptop shows. */
const FROM = { md: '(min-width: 700px)', lg: '(min-width: 1024px)' } as const;

/** Whether the screen is at least so wide. */
export const useRoomy = (from: keyof typeof FROM): boolean => {
  const query = FROM[from];
  const subscribe = useCallback(
    (onChange: () => void): (() => void) => {
      const media = window.matchMedia(query);
      media.addEventListener('change', onChange);
      return () => media.removeEventListener('change', onChange);
    },
    [query],
  );
  return useSyncExternalStore(subscribe, () => window.matchMedia(query).matches);
};
