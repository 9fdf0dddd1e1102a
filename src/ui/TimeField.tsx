import { useId } from 'react';
import { usePicked } from './usePicked';

/** A time of day; null where it is left empty. */
export const TimeField = (props: {
  readonly label: string;
  /** True where what stands beside it says what it is. */
  readonly hideLabel?: boolean;
  /** As 19:30. */
  readonly value: string | null;
  readonly onTime: (time: string | null) => void;
}) => {
  const id = useId();
  const [shown, pick] = usePicked(props.value, props.onTime);
  return (
    <div className="flex flex-col">
      <label htmlFor={id} className={props.hideLabel ? 'sr-only' : 'text-[13px] text-chalk'}>
        {props.label}
      </label>
      <input
        id={id}
        type="time"
        className="min-h-9 rounded-bench border border-rim bg-soap px-1"
        value={shown ?? ''}
        onChange={e => pick(e.target.value === '' ? null : e.target.value)}
      />
    </div>
  );
};
