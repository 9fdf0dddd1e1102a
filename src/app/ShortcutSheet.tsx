import type { ShortcutList } from '../session/shortcuts';
import { Dialog } from '../ui/Dialog';

const ON_DRAWING: ReadonlyArray<{ readonly shown: string; readonly does: string }> = [
  { shown: 'Tab', does: 'to the next figure, pin or handle' },
  { shown: 'Arrows', does: 'on a handle or figure: one step; with Shift ten' },
  { shown: 'Enter', does: 'take a figure' },
  { shown: 'Esc', does: 'bring the last good figure back' },
];

/** The keys of the view one is in. */
export const ShortcutSheet = (props: {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly lists: readonly ShortcutList[];
}) => {
  const keys = props.lists.flatMap(l => l.current).filter(s => s.does !== 'digit');
  const rows = [...new Map([...keys, ...ON_DRAWING].map(k => [`${k.shown} ${k.does}`, k])).values()];
  return (
    <Dialog open={props.open} onOpenChange={props.onOpenChange} title="Keys of this view">
      <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-1">
        {rows.map(k => (
          <div key={`${k.shown} ${k.does}`} className="contents">
            <dt className="font-semibold">{k.shown}</dt>
            <dd>{k.does}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  );
};
