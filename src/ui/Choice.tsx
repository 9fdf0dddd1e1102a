import { ToggleGroup } from 'radix-ui';
import type { MouseEvent, ReactNode } from 'react';
import { leadFocus } from './leadFocus';
import { usePicked } from './usePicked';

const SIZE = {
  dry: 'min-h-9 px-2.5 py-1 whitespace-nowrap',
  wet: 'min-h-16 touch-manipulation px-2 text-lg',
  row: 'min-h-16 touch-manipulation px-0.5 text-base leading-tight',
} as const;

/** A wet finger leaves no focus behind, and the row is not drawn for it. */
const keepFocus = (e: MouseEvent): void => e.preventDefault();

const lead = leadFocus('radio');

/** One of a few, all in sight. Arrow keys move between them; Tab leads to the one that is chosen. */
export const Choice = <T extends string>(props: {
  readonly label: string;
  readonly value: T;
  readonly options: ReadonlyArray<{ readonly value: T; readonly text: ReactNode; readonly name?: string }>;
  readonly onChoose: (value: T) => void;
  /** Wet: for an elbow. Row: the same, in as many columns as there is room for, all of one size. */
  readonly size?: 'dry' | 'wet' | 'row';
  /** What stands there may be advice only: a tap on it chooses it, and later advice does not change it under the hand. */
  readonly isAdvised?: boolean;
}) => {
  const [shown, pick] = usePicked(props.value, props.onChoose);
  const tabTo = props.options.some(o => o.value === shown) ? shown : props.options[0]?.value;
  const isWet = (props.size ?? 'dry') !== 'dry';
  const choose = (value: string): void => {
    const tapped = value === '' && props.isAdvised ? shown : value;
    const chosen = props.options.find(o => o.value === tapped)?.value;
    if (chosen !== undefined) pick(chosen);
  };
  return (
    <ToggleGroup.Root
      type="single"
      rovingFocus={false}
      onKeyDown={lead}
      aria-label={props.label}
      value={shown}
      onValueChange={choose}
      className={props.size === 'row' ? 'choice-row grid gap-y-px' : 'flex flex-wrap'}
    >
      {props.options.map(o => (
        <ToggleGroup.Item
          key={o.value}
          value={o.value}
          aria-label={o.name}
          tabIndex={o.value === tabTo ? 0 : -1}
          onMouseDown={isWet ? keepFocus : undefined}
          className={`-ml-px flex-1 border border-rim bg-soap first:ml-0 first:rounded-l-bench last:rounded-r-bench hover:border-ink data-[state=on]:border-ink data-[state=on]:bg-ink data-[state=on]:text-soap ${
            SIZE[props.size ?? 'dry']
          }`}
        >
          {o.text}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
};
