import { type MouseEvent, useRef } from 'react';

/** A second tap of the same button this soon is a wet finger that bounced; nobody taps twice on purpose as fast. */
const BOUNCE_MS = 180;

/**
 * Makes a tap count once where the finger bounces: to be listened with in the capture phase, round buttons that carry
 * `data-steady`. Keys are left alone; a held key does not repeat at the bench.
 */
export const useSteadyTap = (): ((e: MouseEvent) => void) => {
  const last = useRef<{ button: Element | null; at: number }>({ button: null, at: 0 });
  return e => {
    if (e.detail === 0 || !(e.target instanceof Element)) return;
    const button = e.target.closest('button');
    const bounced =
      button?.hasAttribute('data-steady') &&
      button === last.current.button &&
      e.timeStamp - last.current.at < BOUNCE_MS;
    last.current = { button, at: e.timeStamp };
    if (bounced) e.stopPropagation();
  };
};
