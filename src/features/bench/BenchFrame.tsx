import { createContext, type CSSProperties, type ReactNode, use, useMemo, useState } from 'react';
import { Button } from '../../ui/Button';
import { InPlace } from '../../ui/InPlace';

/** Where a panel puts its own great button, and what stands beside it; null until they are on the page. */
interface DockPlaces {
  readonly great: HTMLElement | null;
  readonly undo: HTMLElement | null;
}
export const DockContext = createContext<DockPlaces>({ great: null, undo: null });

/** How a button of the dock looks: it fills its place, and its place never changes. */
export const GREAT = 'h-full w-full !flex-col !gap-0 !px-2 !text-4xl !leading-none !font-semibold';
export const UNDO = 'h-full w-full !flex-col !gap-0 !px-1 !text-2xl !leading-tight';

/** What a great button does. */
export interface GreatAct {
  readonly words: string;
  readonly run: () => void;
  readonly isDisabled?: boolean;
}

/** The great button of a panel, in the place of the bench’s own. */
export const GreatPlace = ({ great }: { readonly great: GreatAct }) => (
  <InPlace place={use(DockContext).great}>
    <Button
      size="wet"
      look="main"
      data-steady
      data-own
      className={`${GREAT} ${great.words.length > 12 ? '!text-3xl' : ''}`}
      disabled={great.isDisabled}
      onClick={great.run}
    >
      {great.words}
    </Button>
  </InPlace>
);

/** What a panel puts in the place of undo: one line back, or dropping what was begun. */
export const UndoPlace = ({ words, run }: { readonly words: string; readonly run: () => void }) => (
  <InPlace place={use(DockContext).undo}>
    <Button size="wet" data-steady data-own className={UNDO} onClick={run}>
      {words}
    </Button>
  </InPlace>
);

/** Acts that have room in one row: on a phone, and on anything wider. */
const IN_A_ROW = { phone: 5, wide: 7 } as const;

/** How many rows the acts of the way take. */
const rowsOf = (acts: number): CSSProperties & Readonly<Record<`--${string}`, number>> => {
  const rows = { phone: Math.ceil(acts / IN_A_ROW.phone), wide: Math.ceil(acts / IN_A_ROW.wide) };
  return {
    '--rows-phone': rows.phone,
    '--rows': rows.wide,
    // As many in each row as can be: none stands alone in the last.
    '--columns-phone': Math.ceil(acts / rows.phone),
    '--columns': Math.ceil(acts / rows.wide),
  };
};

/**
 * The bench in fixed places: what is next, what it stands at, how the act is done, and the dock with the great button, undo and
 * the row of acts, which has one place and one size in every state. Whatever is too long scrolls in its own place.
 */
export const BenchFrame = (props: {
  /** What is next; of fixed height. Where a panel lies over it, on a narrow screen its place is the panel’s. */
  readonly next: ReactNode;
  readonly stage: ReactNode;
  /** How the act is done. */
  readonly controls: ReactNode;
  /** The great button and undo; what a panel puts there covers them. */
  readonly great: ReactNode;
  readonly undo: ReactNode;
  readonly redo: ReactNode;
  /** The row of acts, and the row of what opens. */
  readonly acts: ReactNode;
  /** How many acts the row has at most. */
  readonly actCount: number;
  readonly openers: ReactNode;
  readonly isPanel: boolean;
}) => {
  const [great, setGreat] = useState<HTMLElement | null>(null);
  const [undo, setUndo] = useState<HTMLElement | null>(null);
  const places = useMemo(() => ({ great, undo }), [great, undo]);
  const underPanel = props.isPanel ? 'max-lg:hidden' : '';
  return (
    <DockContext value={places}>
      <div className="bench-frame min-h-0 flex-1" data-testid="bench">
        <div className={`bench-next ${underPanel}`}>{props.next}</div>
        <div className="bench-stage" data-testid="bench-stage">
          {props.stage}
        </div>
        <div className={`bench-controls ${underPanel}`}>{props.controls}</div>
        <div className="bench-dock" role="group" aria-label="Acts">
          <div className="flex h-28 gap-2">
            <div ref={setGreat} data-place="great" className="min-w-0 flex-[2]">
              <div data-default>{props.great}</div>
            </div>
            <div ref={setUndo} data-place="undo" className="min-w-0 flex-1">
              <div data-default>{props.undo}</div>
            </div>
            <div data-place="redo" className="w-16 shrink-0">
              {props.redo}
            </div>
          </div>
          <div data-place="acts" className="bench-acts" style={rowsOf(props.actCount)}>
            {props.acts}
          </div>
          <div data-place="openers">{props.openers}</div>
        </div>
      </div>
    </DockContext>
  );
};
