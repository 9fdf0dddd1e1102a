import type { Plan } from '../../core/plan/makePlan';
import { laySteps } from '../../core/wool/layOrder';
import { useBench } from '../../session/useBench';
import type { PieceStage } from '../../session/pieceStage';
import { Button } from '../../ui/Button';
import { layWords } from '../../ui/layWords';

/** Laying, one step at a time, until it is done or the felt was wetted: then it is put away. */
export const LayStrip = ({ stage, plan }: { readonly stage: PieceStage; readonly plan: Plan }) => {
  const bench = useBench(stage.piece.id, stage.entries);
  const faces = plan.form.faces.length;
  const layers = plan.weigh?.faces[0]?.layers.length ?? 1;
  if (plan.form.solid || stage.entries.length > 0) return null;
  const steps = laySteps({ faces, layers, ...stage.piece.laying });
  const ticked = new Set(stage.layings.map(e => e.act.step));
  const next = steps.find(s => !ticked.has(s.id));
  const last = stage.layings.at(-1);
  const done = steps.filter(s => ticked.has(s.id)).length;
  const tick = (how: 'done' | 'skipped'): void => {
    if (next) void bench.log({ kind: 'lay', step: next.id, how });
  };
  return (
    <section
      aria-label="Laying"
      className="order-0 flex flex-wrap items-center gap-3 border-b-2 border-ink pb-2"
    >
      <div className="min-w-60 flex-1" aria-live="polite">
        <p className="text-[15px] text-chalk">
          Laying, {done} of {steps.length}
        </p>
        <p className="text-2xl leading-tight font-semibold">
          {next ? layWords(next, { faces, layers }) : 'All of it is laid.'}
        </p>
      </div>
      {next && (
        <>
          <Button size="wet" onClick={() => tick('done')}>
            Laid
          </Button>
          <Button size="wet" onClick={() => tick('skipped')}>
            Leave out
          </Button>
        </>
      )}
      {last && (
        <Button size="wet" onClick={() => void bench.takeBack(last.id)}>
          Step back
        </Button>
      )}
    </section>
  );
};
