import { Button } from '../../ui/Button';
import type { PanelKind } from './chosenAct';
import { PanelFrame } from './PanelFrame';

const MORE: ReadonlyArray<{ readonly panel: PanelKind; readonly text: string; readonly what: string }> = [
  { panel: 'tests', text: 'Tests', what: 'whether the skin holds, and how firm it is' },
  { panel: 'note', text: 'Note', what: 'a word to remember, in the log' },
  { panel: 'wool', text: 'Add wool', what: 'over a thin spot, or where a colour ran out' },
  { panel: 'recipe', text: 'Recipe', what: 'how it is worked, and which recipe you follow' },
  { panel: 'curve', text: 'Curve', what: 'how it has shrunk, and how it may go on' },
];

/** On a phone: what has no room in the row. */
export const MorePanel = (props: {
  readonly onOpen: (panel: PanelKind) => void;
  readonly onCancel: () => void;
}) => (
  <PanelFrame title="More" label="More" onCancel={props.onCancel} back="Back">
    {MORE.map(m => (
      <Button key={m.panel} size="wet" className="!flex-col !gap-0" onClick={() => props.onOpen(m.panel)}>
        {m.text}
        <span className="text-base font-normal text-chalk">{m.what}</span>
      </Button>
    ))}
  </PanelFrame>
);
