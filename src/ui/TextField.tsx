import { startTransition, useId, useRef, useState } from 'react';
import { afterwards, doNow } from './afterwards';

/**
 * A name or a note. Every letter is handed on as soon as it is seen, and what is typed stands as it is until the field is left,
 * however long the letters take to be kept.
 */
export const TextField = (props: {
  readonly label: string;
  readonly value: string;
  readonly onText: (text: string) => void;
  /** An empty text is not handed on; the last one comes back when the field is left. */
  readonly required?: boolean;
  readonly hideLabel?: boolean;
  readonly className?: string;
  readonly lines?: number;
}) => {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const composing = useRef(false);
  const hand = (text: string): void => {
    if (!(props.required && text.trim() === '')) props.onText(text);
  };
  const type = (text: string): void => {
    setDraft(text);
    if (!composing.current) afterwards(() => hand(text));
  };
  const leave = (): void => {
    doNow();
    startTransition(() => setDraft(null));
  };
  const common = {
    id,
    value: draft ?? props.value,
    className: 'w-full rounded-bench border-b-2 border-rim bg-transparent px-1 py-0.5 hover:border-ink',
    onBlur: leave,
    onCompositionStart: () => {
      composing.current = true;
    },
    onCompositionEnd: () => {
      composing.current = false;
      if (draft !== null) hand(draft);
    },
  };
  return (
    <div className={`flex flex-col ${props.className ?? ''}`}>
      <label htmlFor={id} className={props.hideLabel ? 'sr-only' : 'text-[13px] text-chalk'}>
        {props.label}
      </label>
      {props.lines ? (
        <textarea {...common} rows={props.lines} onChange={e => type(e.target.value)} />
      ) : (
        <input {...common} onChange={e => type(e.target.value)} />
      )}
    </div>
  );
};
