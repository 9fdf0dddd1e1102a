import type { BlockOfDay } from './dayRows';

/** A block in the hand, and the day that it is held over. */
export interface Carried {
  readonly block: BlockOfDay;
  /** As 2026-11-28; null beside all days. */
  readonly day: string | null;
}

/** A block that was let go of. */
export interface Dropped {
  readonly block: BlockOfDay;
  readonly day: string;
  /** How far it was carried along the hours, as a part of their width. */
  readonly across: number;
}

/** The day whose hours lie at a height of the window, px; null where there are none. */
export const dayAt = (list: HTMLElement, y: number): string | null => {
  const lane = [...list.querySelectorAll<HTMLElement>('[data-day]')].find(of => {
    const { top, bottom } = of.getBoundingClientRect();
    return top <= y && y <= bottom;
  });
  return lane?.dataset['day'] ?? null;
};

/** The width of the hours of a day, px; 0 where no day is drawn. */
export const hoursPx = (list: HTMLElement): number =>
  list.querySelector<HTMLElement>('[data-day]')?.clientWidth ?? 0;

/** What scrolls when a list is longer than its window. */
export const scrollerOf = (list: HTMLElement): HTMLElement | null => {
  for (let of = list.parentElement; of; of = of.parentElement)
    if (/auto|scroll/.test(getComputedStyle(of).overflowY)) return of;
  return null;
};

/** So near an edge the days begin to move, px, and so fast they do at the edge itself, px a frame. */
const EDGE_PX = 56;
const FASTEST_PX = 14;

/**
 * How far days move in one frame below a hand that is near the top or the bottom of what is seen of them: the nearer, the faster.
 * @param y where the hand is, px
 * @param seen top and bottom of what is seen, px
 * @returns px, up below 0
 */
export const edgeStep = (y: number, seen: { readonly top: number; readonly bottom: number }): number => {
  const up = Math.min(1, Math.max(0, (seen.top + EDGE_PX - y) / EDGE_PX));
  const down = Math.min(1, Math.max(0, (y - seen.bottom + EDGE_PX) / EDGE_PX));
  return Math.round(FASTEST_PX * (down - up));
};
