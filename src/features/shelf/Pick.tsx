import { useId } from 'react';

/** One of a few words, picked from a list. */
export const Pick = <T extends string>(props: {
  readonly label: string;
  readonly value: T;
  readonly options: readonly T[];
  readonly onPick: (value: T) => void;
}) => {
  const id = useId();
  return (
    <div className="flex flex-col">
      <label htmlFor={id} className="text-[13px] text-chalk">
        {props.label}
      </label>
      <select
        id={id}
        className="min-h-8 rounded-bench border border-rim bg-soap px-1"
        value={props.value}
        onChange={e => {
          const picked = props.options.find(o => o === e.target.value);
          if (picked !== undefined) props.onPick(picked);
        }}
      >
        {props.options.map(o => (
          <option key={o}>{o}</option>
        ))}
      </select>
    </div>
  );
};
