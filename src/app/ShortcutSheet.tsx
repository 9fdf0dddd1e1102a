import type { ShortcutList } from '../session/shortcuts';
import { Dialog } from '../ui/Dialog';

const ON_DRAWING: ReadonlyArray<{ readonly shown: string; readonly does: string }> = [
  { shown: 'Tab', does: 'to the next number, Keep button or handle' },
  { shown: 'Arrows', does: 'on a handle or number: one step; with Shift ten' },
  { shown: 'Enter', does: 'accept a number' },
  { shown: 'Esc', does: 'bring back the last good number' },
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
    <Dialog open={props.open} onOpenChange={props.onOpenChange} title="Keyboard shortcuts">
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
