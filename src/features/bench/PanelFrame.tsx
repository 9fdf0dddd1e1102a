import type { ReactNode } from 'react';
import { type Shortcut, useShortcuts } from '../../session/shortcuts';
import { Button } from '../../ui/Button';
import { useRoving } from './useRoving';

/** A panel that lies over the bench: one thing at a time, and a way back as large as any other. */
export const PanelFrame = (props: {
  readonly title: string;
  readonly label: string;
  readonly onCancel: () => void;
  readonly keys?: readonly Shortcut[];
  readonly back?: string;
  readonly children: ReactNode;
}) => {
  const { ref, keys } = useRoving();
  useShortcuts([
    ...(props.keys ?? []),
    ...keys,
    { keys: ['Escape', 'PageUp'], shown: 'Esc', does: 'back to the bench', run: props.onCancel },
  ]);
  return (
    <div ref={ref} role="group" aria-label={props.label} className="flex flex-1 flex-col gap-3">
      <p className="text-2xl font-semibold">{props.title}</p>
      {props.children}
      <Button size="wet" onClick={props.onCancel}>
        {props.back ?? 'Back'}
      </Button>
    </div>
  );
};
