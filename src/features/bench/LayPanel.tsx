import type { Plan } from '../../core/plan/makePlan';
import { wayOnTable } from '../../drawing/orient';
import { scaleMass } from '../../core/units/scaleMass';
import { pieceScene } from '../../drawing/scene';
import type { PieceContext } from '../../session/pieceContext';
import { useLayers } from '../../session/useLayers';
import { useWools } from '../../session/useRecords';
import { Button } from '../../ui/Button';
import { layerFill, LayerPattern } from '../../ui/table/LayerPattern';
import { directionWords } from '../../words/laying';
import { Table } from '../../ui/table/Table';
import { UNDYED } from '../../core/wool/undyed';
import type { LayingProgress } from './useLaying';

/** What is laid in this step: so many grams of which wool, and which way its fibres lie. */
const Takes = ({ laying, context }: { readonly laying: LayingProgress; readonly context: PieceContext }) => {
  const wools = useWools();
  const look = useLayers(context);
  if (laying.takes.length === 0) return null;
  return (
    <p className="mt-1 flex flex-wrap items-center gap-x-4 text-2xl">
      {laying.takes.map(({ woolId, grams }, i) => {
        const wool = wools.find(w => w.id === woolId);
        return (
          <span key={i} className="flex items-center gap-2">
            <span
              className="size-6 rounded-full border border-rim"
              style={{ background: wool?.colour ?? UNDYED }}
            />
            {scaleMass(grams, laying.stepG, context.settings.units)} {wool?.name ?? 'wool'}
          </span>
        );
      })}
      {laying.isLayer && (
        <span className="text-chalk">fibres {directionWords(look.wayOf(laying.layer))}</span>
      )}
    </p>
  );
};

/** Laying, one step at a time: what to lay now, as large as any advice, and what comes after it. */
export const LayPanel = ({
  laying,
  context,
}: {
  readonly laying: LayingProgress;
  readonly context: PieceContext;
}) => (
  <section aria-label="Laying" className="flex min-h-0 flex-col gap-5 lg:h-full">
    <div aria-live="polite" className="border-b-2 border-ink pb-3">
      <p className="text-[15px] text-chalk">
        Laying, {laying.done} of {laying.of}
      </p>
      <p className="text-4xl leading-tight font-semibold sm:text-5xl">{laying.words}</p>
      <Takes laying={laying} context={context} />
    </div>
    <div className="flex gap-2">
      <Button
        size="wet"
        look="main"
        data-steady
        className="min-h-32 flex-[2] !text-4xl !font-semibold"
        onClick={() => laying.tick('done')}
      >
        {laying.isLayer ? 'Laid' : 'Done'}
      </Button>
      <Button
        size="wet"
        data-steady
        className="min-h-32 flex-1 !text-3xl"
        disabled={!laying.stepBack}
        onClick={() => laying.stepBack?.()}
      >
        Step back
      </Button>
    </div>
    <div className="flex flex-wrap gap-2">
      <Button size="wet" data-steady className="flex-1" onClick={() => laying.tick('skipped')}>
        Skip this
      </Button>
      <Button size="wet" data-steady className="flex-1" onClick={laying.layWhole}>
        Everything is laid already
      </Button>
    </div>
    {laying.after.length > 0 && (
      <div>
        <p className="text-[15px] text-chalk">After that</p>
        <ol className="text-xl leading-relaxed">
          {laying.after.map((words, i) => (
            <li key={i} className="first-letter:uppercase">
              {words}
            </li>
          ))}
        </ol>
      </div>
    )}
  </section>
);

/** The layer that is laid now, on the table. */
export const LayTable = (props: {
  readonly laying: LayingProgress;
  readonly context: PieceContext;
  readonly plan: Plan;
}) => {
  const { laying, context, plan } = props;
  const look = useLayers(context);
  const scene = pieceScene(plan.form, { foldOverMm: context.piece.plan.foldOverMm, face: laying.face });
  return (
    <div className="h-[26rem] lg:h-full">
      <Table
        scene={scene}
        units={context.settings.units}
        label="Where this layer goes"
        showMarks={false}
        fillOf={layerFill(scene)}
        under={() => (
          <LayerPattern
            colour={look.colourOf(laying.layer) ?? UNDYED}
            way={wayOnTable(plan.form.alongOnTable, look.wayOf(laying.layer))}
            box={scene.box}
          />
        )}
      />
    </div>
  );
};
