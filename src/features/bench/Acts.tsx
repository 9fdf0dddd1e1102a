import { type Act, actWords, cautionOf } from '../../core/acts/act';
import type { PieceWording } from '../../core/acts/actSpec';
import { usualCushion } from '../../core/log/cushioning';
import { meanProgress } from '../../core/forecast/progressNow';
import type { Plan } from '../../core/plan/makePlan';
import type { PieceContext } from '../../session/pieceContext';
import type { Bench } from '../../session/useBench';
import { useChangeSettings } from '../../session/useChanges';
import { Button } from '../../ui/Button';
import { proposalWords } from '../../words/proposals';
import { greatWords, isTap, opensPanel } from './chosenAct';
import { ActControls, KindChoice } from './Controls';
import { countedNoun } from './pacing';
import type { ActSelection } from './useActSelection';
import type { BenchStatus } from './useBenchStatus';

/** Undo is as large as the thing it undoes. */
const UndoButtons = ({ bench, wording }: { readonly bench: Bench; readonly wording: PieceWording }) => (
  <>
    <Button
      size="wet"
      className="min-h-28 flex-1 !flex-col !gap-0 !text-3xl"
      disabled={!bench.undo}
      data-steady
      onClick={() => void bench.undo?.()}
    >
      Undo
      <span className="text-base font-normal text-chalk">
        {bench.undoes ? actWords(bench.undoes.act, wording) : 'nothing to undo'}
      </span>
    </Button>
    {bench.redo && (
      <Button size="wet" data-steady className="min-h-28" onClick={() => void bench.redo?.()}>
        Redo
      </Button>
    )}
  </>
);

/** What a tap on the great button says is done. */
const doneWords = (act: Act, { proposed, wording }: BenchStatus): string =>
  act.kind === 'step' ? proposalWords(proposed, wording) : actWords(act, wording);

const GreatButton = ({
  acting,
  standing,
}: {
  readonly acting: ActSelection;
  readonly standing: BenchStatus;
}) => (
  <Button
    size="wet"
    look="main"
    data-steady
    className="min-h-28 flex-[2] !flex-col !gap-0 !text-4xl !font-semibold"
    disabled={acting.isHeld}
    onClick={acting.go}
  >
    {acting.isHeld ? (
      'Working it out …'
    ) : acting.act ? (
      <>
        Done
        <span className="text-xl leading-tight font-normal">{doneWords(acting.act, standing)}</span>
      </>
    ) : (
      !isTap(acting.kind) && greatWords(acting.kind)
    )}
  </Button>
);

const OPENERS = [
  { panel: 'count', text: 'Counting' },
  { panel: 'look', text: 'Look' },
  { panel: 'tests', text: 'Tests' },
  { panel: 'recipe', text: 'Recipe' },
  { panel: 'curve', text: 'Curve' },
  { panel: 'wrong', text: 'Problem?' },
] as const;

/** What is done: the great button, undo beside it, and how the act is done. */
export const Acts = ({
  acting,
  context,
  plan,
  standing,
  bench,
}: {
  readonly acting: ActSelection;
  readonly context: PieceContext;
  readonly plan: Plan;
  readonly standing: BenchStatus;
  readonly bench: Bench;
}) => {
  const changeSettings = useChangeSettings();
  const { act } = acting;
  const caution = act && cautionOf(act.kind);
  return (
    <div className="order-2 flex flex-col gap-2 sm:order-3">
      {act && (
        <ActControls
          act={act}
          faces={standing.faces}
          alongOnTable={plan.form.alongOnTable}
          hasDirections={standing.way.hasDirections}
          settings={context.settings}
          usual={usualCushion(meanProgress(standing.forecast))}
          onChoose={acting.choose}
          onSettings={changeSettings}
        />
      )}
      <div className="order-first flex gap-2 sm:order-none">
        <GreatButton acting={acting} standing={standing} />
        <UndoButtons bench={bench} wording={standing.wording} />
      </div>
      <KindChoice
        kinds={standing.acts}
        judge={context.piece.judge}
        kind={acting.kind}
        onKind={kind => (opensPanel(kind) ? acting.setPanel(kind) : acting.choose({ kind }))}
      />
      <div className="flex flex-wrap gap-2 *:flex-1">
        {OPENERS.filter(o => o.panel !== 'count' || (act && countedNoun(act) !== null)).map(o => (
          <Button
            key={o.panel}
            size="wet"
            className="!px-2 !text-lg"
            onClick={() => acting.setPanel(o.panel)}
          >
            {o.text}
          </Button>
        ))}
      </div>
      {caution && <p className="text-sm text-chalk">{caution}</p>}
    </div>
  );
};
