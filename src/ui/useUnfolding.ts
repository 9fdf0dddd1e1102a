import { type MouseEvent, type ToggleEvent, useId, useLayoutEffect, useRef, useState } from 'react';

/** Between what is unfolded and the button it belongs to, and between it and the edges of the window, px. */
const GAP_PX = 4;
const EDGE_PX = 8;

type Size = Pick<DOMRect, 'width' | 'height'>;

/**
 * Where something is put that belongs to a button: below it, or above where there is no room below, and within the window.
 * @param by the button, px of the window
 * @param align in the middle of the button, or at its end
 */
export const placeBy = (
  by: Pick<DOMRect, 'left' | 'right' | 'top' | 'bottom'>,
  align: 'middle' | 'end',
  { sheet, window }: { readonly sheet: Size; readonly window: Size },
): { readonly left: number; readonly top: number } => {
  const wanted = align === 'end' ? by.right - sheet.width : (by.left + by.right - sheet.width) / 2;
  const below = by.bottom + GAP_PX;
  const hasRoom = below + sheet.height + EDGE_PX <= window.height;
  return {
    left: Math.max(EDGE_PX, Math.min(wanted, window.width - EDGE_PX - sheet.width)),
    top: hasRoom ? below : Math.max(EDGE_PX, by.top - GAP_PX - sheet.height),
  };
};

/**
 * What a button unfolds over the view and a tap elsewhere or Escape folds again. The browser does all of it but the place: where a library did, a
 * slow machine took a tenth of a second.
 * @param first what has the focus once it is open; itself where null
 * @returns what the button and the sheet need. Only where it is open is there anything in the sheet.
 */
export const useUnfolding = (align: 'middle' | 'end', first: string | null = null) => {
  const id = useId();
  const [isOpen, setOpen] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  const sheet = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    const [of, by] = [sheet.current, button.current];
    if (!isOpen || !of || !by) return undefined;
    const place = (): void => {
      const { clientWidth: width, clientHeight: height } = document.documentElement;
      // Where it lies must not make it narrow.
      of.style.left = '0';
      const size = { width: of.offsetWidth, height: of.offsetHeight };
      const at = placeBy(by.getBoundingClientRect(), align, { sheet: size, window: { width, height } });
      of.style.left = `${at.left}px`;
      of.style.top = `${at.top}px`;
    };
    if (!of.matches(':popover-open')) of.showPopover();
    place();
    ((first === null ? null : of.querySelector<HTMLElement>(first)) ?? of).focus({ preventScroll: true });
    window.addEventListener('scroll', place, { capture: true, passive: true });
    window.addEventListener('resize', place);
    return () => {
      window.removeEventListener('scroll', place, { capture: true });
      window.removeEventListener('resize', place);
    };
  }, [isOpen, align, first]);
  const fold = (): void => sheet.current?.hidePopover();
  return {
    isOpen,
    fold,
    button: {
      ref: button,
      // So that the browser knows whose it is; when it is shown, what is in it is there.
      popoverTarget: id,
      onClick: (e: MouseEvent): void => {
        e.preventDefault();
        if (isOpen) fold();
        else setOpen(true);
      },
      'aria-expanded': isOpen,
    },
    sheet: {
      ref: sheet,
      id,
      popover: 'auto',
      tabIndex: -1,
      // What is in it stays until the focus has gone back.
      onToggle: (e: ToggleEvent): void => {
        if (e.newState === 'closed') setOpen(false);
      },
      // Whatever its button stands in.
      className:
        'fixed inset-auto top-0 left-0 max-h-[calc(100vh-1rem)] overflow-auto rounded-bench border border-ink bg-soap text-left font-normal whitespace-normal text-ink shadow-lg outline-none',
    },
  } as const;
};
