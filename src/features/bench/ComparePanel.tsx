import type { Act } from '../../core/acts/act';
import { DRAWING_MARKS } from '../../core/acts/vocabulary';
import { Button } from '../../ui/Button';
import { MARK_WORDS } from '../../words/drawingMarks';
import { PanelFrame } from './PanelFrame';

/** Held against its drawing: one tap on where the edge lies, and no tape. */
export const ComparePanel = (props: {
  readonly onLog: (act: Act) => void;
  readonly onCancel: () => void;
}) => (
  <PanelFrame title="Where is its edge?" label="By the drawing" onCancel={props.onCancel}>
    <p className="text-lg">Lay it flat on its template or resist, without stretching.</p>
    <div className="grid grid-cols-1 gap-2 sm:grid-cols-2">
      {DRAWING_MARKS.map(mark => (
        <Button
          key={mark}
          size="wet"
          className="min-h-24 !text-2xl"
          onClick={() => props.onLog({ kind: 'compare', at: mark })}
        >
          <span className="first-letter:uppercase">{MARK_WORDS[mark]}</span>
        </Button>
      ))}
    </div>
  </PanelFrame>
);
