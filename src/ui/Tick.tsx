import type { ComponentProps } from 'react';
import { usePicked } from './usePicked';

/** Something that is so or not. What it is about stands beside it, in its label. */
export const Tick = ({
  isOn,
  onTick,
  ...rest
}: Omit<ComponentProps<'input'>, 'type' | 'checked' | 'onChange'> & {
  readonly isOn: boolean;
  readonly onTick: (isOn: boolean) => void;
}) => {
  const [shown, pick] = usePicked(isOn, onTick);
  return <input {...rest} type="checkbox" checked={shown} onChange={e => pick(e.target.checked)} />;
};
