import { type Act, actWords, cautionOf } from '../../core/acts/act';
import type { PieceWording } from '../../core/acts/actSpec';
import type { ProposedAct } from '../../core/advice/proposedAct';
import { usualCushion } from '../../core/log/cushioning';
import { meanProgress } from '../../core/forecast/progressNow';
import type { Plan } from '../../core/plan/makePlan';
import type { PieceContext } from '../../session/pieceContext';
import type { Bench } from '../../session/useBench';
import { useChangeSettings } from '../../session/useChanges';
import { Button } from '../../ui/Button';
import { Soon } from '../../ui/Soon';
import { proposalWords } from '../../words/proposals';
import { GREAT, UNDO } from './BenchFrame';
import { greatWords, isTap, opensPanel, type PanelKind } from './chosenAct';
import { ActControls, KindChoice } from './Controls';
import { PictureButton } from './PictureButton';
import { countedNoun, isTimed } from './pacing';
import type { ActSelection } from './useActSelection';
import type { BenchStatus } from './useBenchStatus';

/** Undo is as tall as the thing it undoes. */
export const UndoButton = ({ bench, wording }: { readonly bench: Bench; readonly wording: PieceWording }) => (
  <Button size="wet" className={UNDO} disabled={!bench.undo} data-steady onClick={() => void bench.undo?.()}>
    Undo
    <span className="line-clamp-2 text-[13px] leading-tight font-normal text-chalk">
      {bench.undoes ? actWords(bench.undoes.act, wording) : 'nothing to undo'}
    </span>
  </Button>
);

/** What was undone is done again. It stands there when there is nothing to redo, so that nothing moves. */
export const RedoButton = ({ bench }: { readonly bench: Bench }) => (
  <Button
    size="wet"
    data-steady
    className="h-full w-full !px-0 !text-base"
    disabled={!bench.redo}
    onClick={() => void bench.redo?.()}
  >
    Redo
  </Button>
);

/** What a tap on the great button says is done. */
const doneWords = (act: Act, proposed: ProposedAct, { wording }: BenchStatus): string =>
  act.kind === 'step' ? proposalWords(proposed, wording) : actWords(act, wording);

export const GreatButton = ({
  acting,
  standing,
}: {
  readonly acting: ActSelection;
  readonly standing: BenchStatus;
}) => (
  <Button size="wet" look="main" data-steady className={GREAT} disabled={acting.isHeld} onClick={acting.go}>
    {acting.isHeld ? (
      <span className="text-2xl">Working it out …</span>
    ) : acting.act ? (
      <>
        Done
        <span className="line-clamp-2 text-lg leading-tight font-normal">
          {doneWords(acting.act, acting.proposed, standing)}
        </span>
      </>
    ) : (
      !isTap(acting.kind) && greatWords(acting.kind)
    )}
  </Button>
);

/** Which act the great button logs, in one row. */
export const ActRow = (props: { readonly acting: ActSelection; readonly standing: BenchStatus }) => {
  const { acting, standing } = props;
  return (
    <KindChoice
      kinds={standing.acts}
      judge={standing.judge}
      kind={acting.panel ?? acting.kind}
      onKind={kind => (opensPanel(kind) ? acting.setPanel(kind) : acting.choose({ kind }))}
    />
  );
};

/** What opens over the bench; on a phone the last of them stand behind one button. */
const OPENERS: ReadonlyArray<{
  readonly panel: PanelKind;
  readonly text: string;
  readonly isRoomy?: true;
}> = [
  { panel: 'look', text: 'Look' },
  { panel: 'tests', text: 'Tests', isRoomy: true },
  { panel: 'wrong', text: 'Problem?' },
  { panel: 'count', text: 'Counting' },
  { panel: 'note', text: 'Note', isRoomy: true },
  { panel: 'wool', text: 'Add wool', isRoomy: true },
  { panel: 'recipe', text: 'Recipe', isRoomy: true },
  { panel: 'curve', text: 'Curve', isRoomy: true },
];

const OPENER = '!px-0.5 !text-base';

export const Openers = (props: { readonly acting: ActSelection; readonly pieceId: string }) => (
  <div className="grid grid-cols-5 gap-1 *:min-w-0">
    {OPENERS.map(o => (
      <Button
        key={o.panel}
        size="wet"
        className={`${OPENER} ${o.isRoomy ? 'max-sm:hidden' : ''}`}
        disabled={
          o.panel === 'count' &&
          !(props.acting.act && (countedNoun(props.acting.act) !== null || isTimed(props.acting.act)))
        }
        onClick={() => props.acting.setPanel(o.panel)}
      >
        {o.text}
      </Button>
    ))}
    <PictureButton pieceId={props.pieceId} className={OPENER} />
    <Button size="wet" className={`${OPENER} sm:hidden`} onClick={() => props.acting.setPanel('more')}>
      More
    </Button>
  </div>
);

/** How the act is done. */
export const HowItIsDone = (props: {
  readonly acting: ActSelection;
  readonly context: PieceContext;
  readonly plan: Plan;
  readonly standing: BenchStatus;
}) => {
  const { acting, context, plan, standing } = props;
  const changeSettings = useChangeSettings();
  const { act } = acting;
  if (!act || acting.panel) return null;
  return (
    <Soon>
      <ActControls
        act={act}
        faces={standing.legs}
        hasBack={standing.way.hasBack ?? false}
        alongOnTable={plan.form.alongOnTable}
        hasDirections={standing.way.hasDirections}
        settings={context.settings}
        usual={usualCushion(meanProgress(standing.forecast))}
        onChoose={acting.choose}
        onSettings={changeSettings}
      />
    </Soon>
  );
};

/** What to beware of in an act. */
export const Caution = ({ act }: { readonly act: Act | null }) => {
  const caution = act && cautionOf(act.kind);
  return caution && <p className="text-sm leading-tight text-chalk">{caution}</p>;
};
