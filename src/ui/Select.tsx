import { useId } from 'react';
import { usePicked } from './usePicked';

export interface SelectOption<T extends string> {
  readonly value: T;
  readonly text: string;
}

/** Things with a name as options, with one for none of them first. */
export const namedOptions = (
  things: ReadonlyArray<{ readonly id: string; readonly name: string }>,
  none: string,
): ReadonlyArray<SelectOption<string>> => [
  { value: '', text: none },
  ...things.map(t => ({ value: t.id, text: t.name })),
];

/** Words that stand for themselves, as options. */
export const wordOptions = <T extends string>(words: readonly T[]): ReadonlyArray<SelectOption<T>> =>
  words.map(w => ({ value: w, text: w }));

/** One of a list that unfolds; for dry hands. */
export const Select = <T extends string>(props: {
  readonly label: string;
  /** True where what stands beside it says what it is. */
  readonly hideLabel?: boolean;
  readonly value: T;
  readonly options: ReadonlyArray<SelectOption<T>>;
  readonly onPick: (value: T) => void;
  readonly className?: string;
}) => {
  const id = useId();
  const [shown, pick] = usePicked(props.value, props.onPick);
  return (
    <div className={`flex min-w-0 flex-col ${props.className ?? ''}`}>
      <label htmlFor={id} className={props.hideLabel ? 'sr-only' : 'text-[13px] text-chalk'}>
        {props.label}
      </label>
      <select
        id={id}
        className="min-h-9 w-full rounded-bench border border-rim bg-soap px-2"
        value={shown}
        onChange={e => {
          const picked = props.options.find(o => o.value === e.target.value);
          if (picked) pick(picked.value);
        }}
      >
        {props.options.map(o => (
          <option key={o.value} value={o.value}>
            {o.text}
          </option>
        ))}
      </select>
    </div>
  );
};
