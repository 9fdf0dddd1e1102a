import { useId } from 'react';
import { usePicked } from './usePicked';

/** A day; null where it is left empty. */
export const DateField = (props: {
  readonly label: string;
  /** As 2026-12-24. */
  readonly value: string | null;
  readonly onDay: (day: string | null) => void;
}) => {
  const id = useId();
  const [shown, pick] = usePicked(props.value, props.onDay);
  return (
    <div className="flex flex-col">
      <label htmlFor={id} className="text-[13px] text-chalk">
        {props.label}
      </label>
      <input
        id={id}
        type="date"
        className="min-h-9 rounded-bench border border-rim bg-soap px-2"
        value={shown ?? ''}
        onChange={e => pick(e.target.value === '' ? null : e.target.value)}
      />
    </div>
  );
};
