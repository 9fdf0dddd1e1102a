import type { ProposedAct } from '../../core/advice/proposedAct';
import { type Act, controlOf } from '../../core/acts/act';
import type { PieceContext } from '../../session/pieceContext';
import { Button } from '../../ui/Button';
import { proposalReason, proposalWords } from '../../words/proposals';
import { WAY_WORDS } from '../../words/ways';
import { BenchWhy } from './BenchWhy';
import type { BenchStatus } from './useBenchStatus';

/** What would be advised without the recipe, where that is something else. */
const aloneWords = (proposed: ProposedAct, { wording }: BenchStatus): string => {
  const alone = proposed.alone && proposalWords(proposed.alone, wording);
  return alone && alone !== proposalWords(proposed, wording) ? ` Without it: ${alone}.` : '';
};

/** Where the felting model has a line now, mm; before the first measuring it does not say. */
const computedMm = ({ model, forecast }: BenchStatus, gaugeId: string): number | null => {
  const at = forecast.gaugeProgress.findIndex(s => s.gauge.id === gaugeId);
  const share = model?.pieceForecast.now[at]?.median;
  return share === undefined || model?.pieceForecast.measurings === 0
    ? null
    : share * (forecast.gaugeProgress[at]?.gauge.laidMm ?? 0);
};

/** The one number that the hand needs now, legible from a metre. Its place stays where there is none. */
export const OneNumber = (props: { readonly figure: string | null; readonly unit: string }) => (
  <p className="bench-number" data-testid="one-number">
    {props.figure !== null && (
      <>
        <span className="block text-7xl leading-none font-semibold tabular-nums">{props.figure}</span>
        <span className="text-lg text-chalk">{props.unit}</span>
      </>
    )}
  </p>
);

/** What the number of an act is: how many, or how long. */
const numberOf = (act: Act | null): { figure: string | null; unit: string } => {
  const control = act ? controlOf(act.kind) : null;
  const { count, feel } = (act && control?.choicesOf(act)) || {};
  if (count === undefined || feel) return { figure: null, unit: '' };
  return { figure: String(count), unit: control?.unit ?? control?.noun ?? 'times' };
};

/** What is next, why, and how much of it: the same room whatever is said. */
export const NextLine = (props: {
  readonly standing: BenchStatus;
  readonly proposed: ProposedAct;
  /** What the great button would log. */
  readonly act: Act | null;
  readonly context: PieceContext;
}) => {
  const { standing, proposed, context } = props;
  const { units } = context.settings;
  return (
    <>
      <section
        aria-label="Next"
        aria-live="polite"
        aria-busy={standing.isFetching}
        className="min-w-0 flex-1"
      >
        <p className="text-[15px] text-chalk">Next · {WAY_WORDS[standing.way.id].name}</p>
        <p className="bench-headline">
          {standing.isComputing ? 'Working it out …' : proposalWords(proposed, standing.wording)}
        </p>
        <p className="text-lg leading-snug">
          {standing.isComputing
            ? 'Worked out from everything you measured and did.'
            : proposalReason(proposed, {
                units,
                way: standing.way,
                isBrief: true,
                computed: id => computedMm(standing, id),
              })}
          {!standing.isComputing && aloneWords(proposed, standing)}
        </p>
      </section>
      <div className="flex shrink-0 flex-col items-end justify-between">
        <OneNumber {...numberOf(props.act)} />
        <BenchWhy
          proposed={proposed}
          forecast={standing.forecast}
          model={standing.model}
          state={standing.state}
          faces={standing.faces.length}
          way={standing.way}
          units={units}
          computed={id => computedMm(standing, id)}
        />
      </div>
    </>
  );
};

/** The forecast has failed: the advice goes by common practice meanwhile, and it is asked again at a tap. */
export const NoForecast = (props: { readonly text: string; readonly again: () => void }) => (
  <div role="alert" className="flex items-center gap-3 border-l-4 border-wanted pl-3">
    <p className="flex-1">No forecast: {props.text} For now it goes by common practice.</p>
    <Button size="wet" onClick={props.again}>
      Try again
    </Button>
  </div>
);
