import { z } from 'zod';
import { useKeptDraft } from '../../session/useKeptDraft';
import { PanelFrame } from './PanelFrame';

const MOST = 2000;
const DraftSchema = z.string().max(MOST);

/** A word of the felter's, at any step; what is half written survives the tab. */
export const NotePanel = (props: {
  readonly pieceId: string;
  readonly onNote: (text: string) => void;
  readonly onCancel: () => void;
}) => {
  const [text, setText] = useKeptDraft<string>(`jorrit.note.${props.pieceId}`, DraftSchema);
  const words = (text ?? '').trim();
  return (
    <PanelFrame
      title="Note"
      label="Note"
      onCancel={props.onCancel}
      great={{
        words: 'Add to the log',
        isDisabled: words === '',
        run: () => {
          setText(null);
          props.onNote(words);
        },
      }}
    >
      <textarea
        aria-label="Note"
        className="min-h-40 flex-1 rounded-bench border border-rim bg-soap p-3 text-xl"
        maxLength={MOST}
        value={text ?? ''}
        onChange={e => setText(e.target.value)}
      />
    </PanelFrame>
  );
};
