import { type ReactNode, useId, useLayoutEffect, useRef } from 'react';
import { buttonClass } from './Button';
import { useSteady } from './useSteady';

interface DialogProps {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly title: string;
  /** Opened with wet hands: its close button is as large as the others there. */
  readonly wet?: boolean;
  readonly children: ReactNode;
}

const REACHED = 'a[href], button, input, select, textarea, [tabindex]';

/** From the last that Tab reaches in a sheet to the first, and back: what lies below is not reached while it is open. */
const goRound = (e: KeyboardEvent, sheet: HTMLElement): void => {
  const all = [...sheet.querySelectorAll<HTMLElement>(REACHED)].filter(
    of => of.tabIndex >= 0 && !of.matches(':disabled') && of.checkVisibility(),
  );
  const [from, to] = e.shiftKey ? [all[0], all.at(-1)] : [all.at(-1), all[0]];
  const at = document.activeElement;
  if (at !== from && at !== sheet && sheet.contains(at)) return;
  e.preventDefault();
  to?.focus();
};

/**
 * The browser shows it above everything. It is not made a modal one by the browser, which would work out the look of every element below anew: longer
 * than all the rest of opening it.
 */
const Sheet = (props: DialogProps) => {
  const titleId = useId();
  const sheet = useRef<HTMLDivElement>(null);
  const close = useSteady((): void => props.onOpenChange(false));
  useLayoutEffect(() => {
    const of = sheet.current;
    if (!of) return undefined;
    const before = document.activeElement;
    // Wherever the focus is: a button in it that went away leaves it nowhere.
    const onKey = (e: KeyboardEvent): void => {
      if (e.key === 'Tab') goRound(e, of);
      // What is unfolded in it folds first.
      if (e.key !== 'Escape' || of.querySelector(':popover-open')) return;
      e.preventDefault();
      close();
    };
    document.addEventListener('keydown', onKey);
    of.showPopover();
    of.querySelector<HTMLElement>('button:not([aria-hidden])')?.focus({ preventScroll: true });
    return () => {
      document.removeEventListener('keydown', onKey);
      of.hidePopover();
      if (before instanceof HTMLElement) before.focus({ preventScroll: true });
    };
  }, [close]);
  return (
    <div
      ref={sheet}
      popover="manual"
      role="dialog"
      aria-modal="true"
      aria-labelledby={titleId}
      tabIndex={-1}
      className="fixed inset-0 grid size-full place-items-center border-0 bg-transparent p-0 text-left text-base font-normal whitespace-normal text-ink outline-none"
    >
      {/* What lies around it closes it, too. */}
      <button
        type="button"
        aria-hidden="true"
        tabIndex={-1}
        className="absolute inset-0 cursor-default bg-black/50"
        onClick={close}
      />
      <div className="relative max-h-[85vh] w-[min(92vw,40rem)] overflow-auto rounded-bench border border-ink bg-steam p-5">
        <div className="mb-3 flex items-baseline justify-between gap-4">
          <h2 id={titleId} className="text-xl font-semibold">
            {props.title}
          </h2>
          <button type="button" className={buttonClass('plain', props.wet ? 'wet' : 'dry')} onClick={close}>
            Close
          </button>
        </div>
        {props.children}
      </div>
    </div>
  );
};

/** A sheet over the table. Escape, a tap beside it and its button close it. */
export const Dialog = (props: DialogProps) => props.open && <Sheet {...props} />;
