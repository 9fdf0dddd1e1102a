import {
  type MouseEvent,
  type PointerEvent,
  type ReactNode,
  useEffect,
  useLayoutEffect,
  useRef,
  useState,
} from 'react';
import { afterwards } from '../../ui/afterwards';
import { noteDragEnd } from '../../ui/dragEnd';
import { useSteady } from '../../ui/useSteady';
import { type Carried, dayAt, type Dropped, edgeStep, hoursPx, scrollerOf } from './carry';
import type { BlockOfDay } from './dayRows';

/** So far a finger may tremble before a tap becomes a drag, px. */
const TREMBLE_PX = 6;
/** What was put stays in sight until it is laid in, but not longer than this, ms. */
const PUT_MS = 1500;

/** A block that a finger or the mouse is down on. */
interface Held {
  readonly block: BlockOfDay;
  readonly pointerId: number;
  /** The days, and what scrolls them. */
  readonly list: HTMLElement;
  readonly scroller: HTMLElement | null;
  /** What is seen of them: it does not move while a hand is down on it. */
  readonly seen: DOMRect | null;
  readonly rect: DOMRect;
  readonly from: { readonly x: number; readonly y: number };
  now: { readonly x: number; readonly y: number };
  isCarried: boolean;
  /** The day it is over. */
  day: string | null;
}

/** Where what is in the hand was taken up, px of the window; and, once it was put, the plan in which it has no new place yet. */
interface Hand {
  readonly rect: DOMRect;
  readonly putIn: unknown;
}

const placeOf = ({ left, top, width, height }: DOMRect) => ({ left, top, width, height });

interface Ways {
  readonly blockOf: (key: string) => BlockOfDay | undefined;
  /** The plan that is drawn: what was put is in the hand until there is another. */
  readonly laid: object;
  readonly onCarry: (carried: Carried | null) => void;
  readonly onTap: (block: BlockOfDay) => void;
  readonly onDrop: (dropped: Dropped) => void;
}

/** Shows an element so far from its place, px. */
const showAt = (shape: HTMLElement | null, { x, y }: { readonly x: number; readonly y: number }): void =>
  shape?.style.setProperty('transform', `translate(${x}px, ${y}px)`);

/** How far what is in the hand was carried: written straight into its place, as drawing it anew takes longer than a step of a hand. */
const useCarriedPlace = (hand: Hand | null) => {
  const shape = useRef<HTMLDivElement>(null);
  const by = useRef({ x: 0, y: 0 });
  useLayoutEffect(() => {
    if (hand) showAt(shape.current, by.current);
  }, [hand]);
  const carryBy = useSteady((x: number, y: number): void => {
    by.current = { x, y };
    showAt(shape.current, by.current);
  });
  return { shape, carryBy };
};

const useCarrying = (ways: Ways) => {
  const { laid, onCarry } = ways;
  const held = useRef<Held | null>(null);
  const [hand, setHand] = useState<Hand | null>(null);
  const { shape, carryBy } = useCarriedPlace(hand);
  const isCarrying = hand?.putIn === null;

  const putAway = useSteady((): void => {
    setHand(null);
    onCarry(null);
  });
  const layBack = useSteady((): void => {
    held.current = null;
    putAway();
  });
  /** Draws what is in the hand where the hand is, and says over which day. */
  const follow = useSteady((of: Held): void => {
    carryBy(of.now.x - of.from.x, of.now.y - of.from.y);
    const day = dayAt(of.list, of.now.y);
    if (of.isCarried && day === of.day) return;
    if (!of.isCarried) setHand({ rect: of.rect, putIn: null });
    of.isCarried = true;
    of.day = day;
    onCarry({ block: of.block, day });
  });
  useEffect(() => {
    if (!isCarrying) return undefined;
    const key = (e: KeyboardEvent): void => {
      if (e.key === 'Escape') layBack();
    };
    const scroll = (): void => {
      const of = held.current;
      const by = of?.seen ? edgeStep(of.now.y, of.seen) : 0;
      if (of && by !== 0) {
        of.scroller?.scrollBy(0, by);
        follow(of);
      }
      frame = requestAnimationFrame(scroll);
    };
    let frame = requestAnimationFrame(scroll);
    window.addEventListener('keydown', key);
    return () => {
      cancelAnimationFrame(frame);
      window.removeEventListener('keydown', key);
    };
  }, [isCarrying, layBack, follow]);
  const isPut = hand !== null && !isCarrying;
  const isLaid = isPut && hand.putIn !== laid;
  useEffect(() => {
    if (!isPut) return undefined;
    const timer = setTimeout(putAway, isLaid ? 0 : PUT_MS);
    return () => clearTimeout(timer);
  }, [isPut, isLaid, putAway]);

  const down = (e: PointerEvent<HTMLElement>): void => {
    const of = e.target instanceof Element ? e.target.closest<HTMLElement>('[data-block]') : null;
    const block = ways.blockOf(of?.dataset['block'] ?? '');
    if (!of || !block || e.button !== 0 || held.current) return;
    const list = e.currentTarget;
    const from = { x: e.clientX, y: e.clientY };
    const rect = of.getBoundingClientRect();
    const scroller = scrollerOf(list);
    const { pointerId } = e;
    const seen = scroller?.getBoundingClientRect() ?? null;
    const begun = { from, now: from, isCarried: false, day: null };
    held.current = { block, pointerId, list, scroller, seen, rect, ...begun };
  };
  const move = (e: PointerEvent<HTMLElement>): void => {
    // Let go of where nobody could see it: outside of the window.
    if (e.buttons === 0 && !held.current?.isCarried) held.current = null;
    const of = held.current;
    if (of?.pointerId !== e.pointerId) return;
    of.now = { x: e.clientX, y: e.clientY };
    if (!of.isCarried) {
      if (Math.hypot(of.now.x - of.from.x, of.now.y - of.from.y) < TREMBLE_PX) return;
      of.list.setPointerCapture(e.pointerId);
    }
    follow(of);
  };
  const up = (e: PointerEvent<HTMLElement>): void => {
    const of = held.current;
    if (of?.pointerId !== e.pointerId) return;
    held.current = null;
    const width = hoursPx(of.list);
    if (!of.isCarried) return ways.onTap(of.block);
    noteDragEnd();
    if (of.day === null || width === 0) layBack();
    else {
      setHand(was => was && { ...was, putIn: laid });
      onCarry({ block: of.block, day: null });
      const put = { block: of.block, day: of.day, across: (of.now.x - of.from.x) / width };
      afterwards(() => ways.onDrop(put));
    }
  };
  // Else the mouse would mark the words that it passes.
  const keepWords = (e: MouseEvent): void => {
    if (e.target instanceof Element && e.target.closest('[data-block]')) e.preventDefault();
  };
  return {
    hand: isLaid ? null : hand,
    shape,
    hands: {
      onMouseDown: keepWords,
      onPointerDown: down,
      onPointerMove: move,
      onPointerUp: up,
      onPointerCancel: layBack,
    },
  };
};

/**
 * Days between which blocks are carried with mouse, pen or finger: they scroll at their edges, Escape lays the block back, a tap chooses it. Where a
 * library did it, the start of each drag was a task of a fifth of a second on a slow machine.
 */
export const Carrying = ({
  inHand,
  children,
  ...ways
}: Ways & {
  /** The block as it looks in the hand. */
  readonly inHand: ReactNode;
  readonly children: ReactNode;
}) => {
  const { hand, shape, hands } = useCarrying(ways);
  return (
    <>
      <ol aria-label="Days" {...hands}>
        {children}
      </ol>
      {hand && (
        <div
          ref={shape}
          aria-hidden="true"
          className="pointer-events-none fixed z-30 will-change-transform"
          style={placeOf(hand.rect)}
        >
          {inHand}
        </div>
      )}
    </>
  );
};
