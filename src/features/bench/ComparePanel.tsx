import { useState } from 'react';
import type { Act } from '../../core/acts/act';
import { DRAWING_MARKS, type DrawingMark } from '../../core/acts/vocabulary';
import type { FormPlan } from '../../core/forms/formKind';
import { tableAngle } from '../../drawing/orient';
import { Button } from '../../ui/Button';
import { Sign } from '../../ui/Sign';
import { MARK_WORDS } from '../../words/drawingMarks';
import { turnOfLine } from './turnOfLine';
import { PanelFrame } from './PanelFrame';

const WAYS = [
  { axis: 'along', deg: 0, name: 'lengthwise' },
  { axis: 'across', deg: 90, name: 'crosswise' },
] as const;

/**
 * Held against its drawing: one tap on where the edge lies, and no tape. Where length and width differ, each has a tap of its own:
 * that tells the model twice as much.
 */
export const ComparePanel = (props: {
  /** Which way the piece lies on the table; null where it has no length and width of its own. */
  readonly alongOnTable: FormPlan['alongOnTable'] | null;
  readonly onLog: (act: Act) => void;
  readonly onCancel: () => void;
}) => {
  const { alongOnTable, onLog } = props;
  const [seen, setSeen] = useState<{ readonly along?: DrawingMark; readonly across?: DrawingMark }>({});
  const same = (mark: DrawingMark): void =>
    onLog(alongOnTable ? { kind: 'compare', at: mark, across: mark } : { kind: 'compare', at: mark });
  const one = (axis: 'along' | 'across', mark: DrawingMark): void => {
    const now = { ...seen, [axis]: mark };
    if (now.along && now.across) onLog({ kind: 'compare', at: now.along, across: now.across });
    else setSeen(now);
  };
  return (
    <PanelFrame title="Where is its edge?" label="By the drawing" onCancel={props.onCancel}>
      <p className="text-lg">
        Lay it flat on its template or resist, without stretching.
        {alongOnTable && ' Where length and width differ, tap the arrow of each.'}
      </p>
      <div className="flex flex-col gap-2">
        {DRAWING_MARKS.map(mark => (
          <div key={mark} className="flex gap-2">
            <Button size="wet" className="min-h-20 min-w-0 flex-1 !text-2xl" onClick={() => same(mark)}>
              <span className="first-letter:uppercase">{MARK_WORDS[mark]}</span>
            </Button>
            {alongOnTable &&
              WAYS.map(({ axis, deg, name }) => (
                <Button
                  key={axis}
                  size="wet"
                  look={seen[axis] === mark ? 'main' : 'plain'}
                  aria-pressed={seen[axis] === mark}
                  aria-label={`${MARK_WORDS[mark]}, ${name}`}
                  className="min-h-20 w-20 shrink-0 !text-3xl"
                  onClick={() => one(axis, mark)}
                >
                  <Sign of="bothWays" turnDeg={turnOfLine(tableAngle(alongOnTable, deg))} />
                </Button>
              ))}
          </div>
        ))}
      </div>
    </PanelFrame>
  );
};
