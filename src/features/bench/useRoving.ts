import { type RefObject, use, useRef } from 'react';
import { DockContext } from './BenchFrame';
import type { Shortcut } from '../../session/shortcuts';

/** What a pedal can press: radios have their own arrows, fields are for hands. */
const PRESSED = 'button:not(:disabled):not([role=radio]), summary';

/** Going through what a panel offers by arrows, and pressing it, so that a pedal or page-turner reaches all of it. */
export const useRoving = (): {
  readonly ref: RefObject<HTMLDivElement | null>;
  readonly keys: Shortcut[];
} => {
  const ref = useRef<HTMLDivElement>(null);
  const { great } = use(DockContext);
  const offered = (): HTMLElement[] => [
    ...(ref.current?.querySelectorAll<HTMLElement>(PRESSED) ?? []),
    ...(great?.querySelectorAll<HTMLElement>('button[data-own]:not(:disabled)') ?? []),
  ];
  const go = (by: 1 | -1): void => {
    const all = offered();
    const at = all.findIndex(e => e === document.activeElement);
    const next = at < 0 ? (by > 0 ? 0 : all.length - 1) : (at + by + all.length) % all.length;
    all[next]?.focus();
  };
  const press = (): void =>
    offered()
      .find(e => e === document.activeElement)
      ?.click();
  return {
    ref,
    keys: [
      {
        keys: ['ArrowDown', 'ArrowRight'],
        shown: '↓ →',
        does: 'to the next',
        run: () => go(1),
        repeats: true,
      },
      {
        keys: ['ArrowUp', 'ArrowLeft'],
        shown: '↑ ←',
        does: 'to the one before',
        run: () => go(-1),
        repeats: true,
      },
      { keys: ['PageDown'], shown: 'Space, PageDown', does: 'take it', run: press },
    ],
  };
};
