import type { Shortcut } from '../../session/shortcuts';
import type { Bench } from '../../session/useBench';

/** Undo and redo by keys, pedal or page-turner; the same in every state of the bench. */
export const undoKeys = (bench: Bench): readonly Shortcut[] => [
  {
    keys: ['PageUp', 'Backspace', 'Ctrl+z'],
    shown: 'PageUp, Backspace',
    does: 'undo',
    run: () => void bench.undo?.(),
  },
  { keys: ['Ctrl+y', 'Ctrl+Shift+z'], shown: 'Ctrl+Y', does: 'redo', run: () => void bench.redo?.() },
];
