import type { ReactNode } from 'react';
import { type Shortcut, useShortcuts } from '../../session/shortcuts';
import { type GreatAct, GreatPlace, UndoPlace } from './BenchFrame';
import { useRoving } from './useRoving';

/**
 * A panel that lies over the bench: one thing at a time. Its great button stands where the bench’s does; where one tap on what is
 * seen is all it asks for, that is the way back.
 */
export const PanelFrame = (props: {
  readonly title: string;
  readonly label: string;
  readonly onCancel: () => void;
  readonly keys?: readonly Shortcut[];
  /** What the way back says. */
  readonly back?: string;
  /** What the great button does here. */
  readonly great?: GreatAct;
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
      <GreatPlace great={props.great ?? { words: props.back ?? 'Not now', run: props.onCancel }} />
      {props.great && <UndoPlace words={props.back ?? 'Back'} run={props.onCancel} />}
    </div>
  );
};
