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
import { GREAT, UNDO } from './BenchFrame';
import { OneNumber } from './NextLine';
import type { LayingProgress } from './useLaying';

/** What is laid in this step: so many grams of which wool, and which way its fibres lie. */
const Takes = ({ laying, context }: { readonly laying: LayingProgress; readonly context: PieceContext }) => {
  const wools = useWools();
  const look = useLayers(context);
  if (laying.takes.length === 0) return null;
  return (
    <p className="mt-1 flex flex-wrap items-center gap-x-4 text-xl sm:text-2xl">
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

interface LayProps {
  readonly laying: LayingProgress;
  readonly context: PieceContext;
}

/** What to lay now, as large as any advice, and how many grams of it. */
export const LayNext = ({ laying, context }: LayProps) => {
  const grams = laying.takes.reduce((sum, t) => sum + t.grams, 0);
  const [figure = '', unit = ''] = scaleMass(grams, laying.stepG, context.settings.units).split(/ (?=\D+$)/);
  return (
    <>
      <section aria-label="Laying" aria-live="polite" className="min-w-0 flex-1">
        <p className="text-[15px] text-chalk">
          Laying, {laying.done} of {laying.of}
        </p>
        <p className="bench-headline">{laying.words}</p>
        <Takes laying={laying} context={context} />
      </section>
      <OneNumber figure={laying.takes.length > 0 ? figure : null} unit={unit} />
    </>
  );
};

/** The great button while laying: one step. */
export const LayGreat = ({ laying }: Pick<LayProps, 'laying'>) => (
  <Button size="wet" look="main" data-steady className={GREAT} onClick={() => laying.tick('done')}>
    {laying.isLayer ? 'Laid' : 'Done'}
  </Button>
);

export const LayUndo = ({ laying }: Pick<LayProps, 'laying'>) => (
  <Button
    size="wet"
    data-steady
    className={UNDO}
    disabled={!laying.stepBack}
    onClick={() => laying.stepBack?.()}
  >
    Step back
  </Button>
);

/** What stands in the row of acts while laying. */
export const LayActs = ({ laying }: Pick<LayProps, 'laying'>) => (
  <div className="flex h-full gap-2 *:flex-1 *:!text-lg *:!leading-tight">
    <Button size="wet" data-steady onClick={() => laying.tick('skipped')}>
      Skip this
    </Button>
    <Button size="wet" data-steady onClick={laying.layWhole}>
      Everything is laid already
    </Button>
  </div>
);

/** What comes after this step. */
export const LayAfter = ({ laying }: Pick<LayProps, 'laying'>) =>
  laying.after.length > 0 && (
    <div>
      <p className="text-[15px] text-chalk">After that</p>
      <ol className="text-lg leading-snug">
        {laying.after.map((words, i) => (
          <li key={i} className="first-letter:uppercase">
            {words}
          </li>
        ))}
      </ol>
    </div>
  );

/** The layer that is laid now, on the table. */
export const LayTable = (props: LayProps & { readonly plan: Plan }) => {
  const { laying, context, plan } = props;
  const look = useLayers(context);
  const scene = pieceScene(plan.form, { foldOverMm: context.piece.plan.foldOverMm, face: laying.face });
  return (
    <div className="min-h-64 flex-1">
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
