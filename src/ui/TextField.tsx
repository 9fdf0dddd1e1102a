import { useId } from 'react';

/** A name or a note; every letter is kept as it is typed. */
export const TextField = (props: {
  readonly label: string;
  readonly value: string;
  readonly onText: (text: string) => void;
  readonly hideLabel?: boolean;
  readonly className?: string;
  readonly lines?: number;
}) => {
  const id = useId();
  const common = {
    id,
    value: props.value,
    className: 'w-full rounded-bench border-b-2 border-rim bg-transparent px-1 py-0.5 hover:border-ink',
  };
  return (
    <div className={`flex flex-col ${props.className ?? ''}`}>
      <label htmlFor={id} className={props.hideLabel ? 'sr-only' : 'text-[13px] text-chalk'}>
        {props.label}
      </label>
      {props.lines ? (
        <textarea {...common} rows={props.lines} onChange={e => props.onText(e.target.value)} />
      ) : (
        <input {...common} onChange={e => props.onText(e.target.value)} />
      )}
    </div>
  );
};
