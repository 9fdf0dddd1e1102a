import { type KeyboardEvent, startTransition, useDeferredValue, useId, useRef, useState } from 'react';
import { afterwards, doNow } from './afterwards';

/** What a text means: a figure, or a sentence on why it cannot be taken. */
export type Read =
  | { readonly ok: true; readonly value: number }
  | { readonly ok: false; readonly why: string };

export interface NumberFieldProps {
  readonly label: string;
  /** The figure as it is shown when nobody is typing. */
  readonly shown: string;
  readonly read: (text: string) => Read;
  readonly onValue: (value: number) => void;
  /** Called when the field was emptied; without it an empty field goes back to what it was. */
  readonly onEmpty?: () => void;
  readonly unit?: string;
  /** Change by the arrow keys: +1 or −1, tenfold with Shift. */
  readonly onStep?: (steps: number) => void;
  readonly hideLabel?: boolean;
  readonly strong?: boolean;
  /** A figure that is only usual practice: paler, until somebody says otherwise. */
  readonly guess?: boolean;
  readonly className?: string;
  readonly describedBy?: string;
}

const WAIT_MS = 400;

/**
 * A figure that is kept as it is typed. What cannot be read is said and stays; Escape brings the last good one back.
 */
export const NumberField = (props: NumberFieldProps) => {
  const { label, shown, read, onValue, onEmpty, onStep } = props;
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const takeBack = useRef<() => void>(undefined);
  const whyNot = (text: string | null): string | null => {
    const got = text === null || text.trim() === '' ? null : read(text);
    return got && !got.ok ? got.why : null;
  };
  // A letter is seen before what it makes of the figure is looked at.
  const wrong = whyNot(useDeferredValue(draft));

  const hand = (text: string): void => {
    if (text.trim() === '') return onEmpty?.();
    const got = read(text);
    if (got.ok && text !== shown) afterwards(() => onValue(got.value));
  };
  const type = (text: string): void => {
    setDraft(text);
    takeBack.current?.();
    takeBack.current = afterwards(() => hand(text), WAIT_MS);
  };
  const done = (): void => {
    doNow();
    // Together with what was changed by it: the figure that was there before is not seen again.
    if (whyNot(draft) === null) startTransition(() => setDraft(null));
  };
  const onKey = (e: KeyboardEvent<HTMLInputElement>): void => {
    if (e.key === 'Enter') done();
    else if (e.key === 'Escape') {
      takeBack.current?.();
      setDraft(null);
    } else if (onStep && (e.key === 'ArrowUp' || e.key === 'ArrowDown')) {
      e.preventDefault();
      done();
      onStep((e.key === 'ArrowUp' ? 1 : -1) * (e.shiftKey ? 10 : 1));
    }
  };

  return (
    <div className={`flex min-w-0 flex-col ${props.className ?? ''}`}>
      <label htmlFor={id} className={props.hideLabel ? 'sr-only' : 'text-[13px] leading-tight text-chalk'}>
        {label}
      </label>
      <span className="flex items-baseline gap-1">
        <input
          id={id}
          inputMode="decimal"
          autoComplete="off"
          className={`w-full min-w-0 rounded-bench border-b-2 bg-transparent px-1 py-0.5 text-right hover:border-ink ${
            props.strong ? `text-lg ${props.guess ? 'text-chalk' : 'font-semibold'}` : ''
          } ${wrong ? 'border-wanted' : 'border-rim'}`}
          value={draft ?? shown}
          aria-invalid={wrong !== null}
          aria-describedby={wrong ? `${id}-why` : props.describedBy}
          onFocus={e => e.target.select()}
          onChange={e => type(e.target.value)}
          onBlur={done}
          onKeyDown={onKey}
        />
        {props.unit !== undefined && (
          <span className="min-w-8 shrink-0 text-[13px] text-chalk">{props.unit}</span>
        )}
      </span>
      {wrong && (
        <span id={`${id}-why`} role="alert" className="text-[13px] leading-tight text-wanted">
          {wrong}
        </span>
      )}
    </div>
  );
};
