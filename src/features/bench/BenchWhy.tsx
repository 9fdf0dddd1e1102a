import { useState } from 'react';
import type { ProposedAct, Reason } from '../../core/advice/proposedAct';
import { BATCH_PRACTICE } from '../../core/batch/batchOf';
import { PRACTICE } from '../../core/acts/practice';
import type { ModelAnswer } from '../../core/advice/modelAct';
import type { BenchState } from '../../core/log/benchState';
import type { Forecast, GaugeProgress } from '../../core/forecast/forecast';
import { LOPSIDED_PROGRESS, SIZE_TOLERANCE } from '../../core/tolerances';
import { showQuantity, showShare, type UnitSystem } from '../../core/units/units';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { ModelWhy } from './ModelWhy';
import { DIRECTION } from '../../core/acts/actWords';
import type { Way } from '../../core/ways/way';
import { proposalReason } from '../../words/proposals';

const skin = `Each side is rubbed ${PRACTICE.rubs} times before the skin is tested. When the skin lifts as one, it can be rolled.`;
const measuring = `Measure every ${PRACTICE.measureEvery.far} rolls; every ${PRACTICE.measureEvery.near} near the end, or when it is lopsided.`;
const size = `A line is done when it is within ${showShare(SIZE_TOLERANCE)} of its target.`;

const firm =
  'It is firm when nothing lifts in the pinch test. A solid is firm when it hardly gives, cloth when it is puckered all over.';

/** The rule behind each reason. All of them are common practice. */
const RULES: Readonly<Record<Reason, string>> = {
  unmeasured: 'A measurement that you passed over is asked for again after a few turns.',
  'time-to-open':
    'The resist comes out when you like it to: early, from 15 % of the way; by size, from 90 %; or before the work ends. An open mouth needs no cut.',
  'cut-one-by-one': 'Petals are cut one by one, from 70 % of the way or before the work ends.',
  'edges-open': 'A cut edge is rubbed at once, before anything else works it.',
  'inside-next': 'The inside is worked once it can be reached.',
  'made-inside-out': 'You chose to lay the outside first.',
  'edges-now': 'You chose to fold the edges in once the skin holds.',
  'must-fit': 'What must fit is measured once it is open, before the work ends.',
  'hole-small': `${size} A hole gives when it is wet; it dries as it was left.`,
  'hole-wide': `${size} Rubbing draws an edge in.`,
  'edges-last': 'You chose to trim the edges at the end.',
  'details-last': 'You chose to use the felting needle at the end.',
  'form-last': 'What is worn on a head dries on a form of its size.',
  'water-foul': `The water is dirty after about ${BATCH_PRACTICE.perWater} pieces.`,
  'one-is-through': 'Pieces alike are worked one after the other, each from its beginning.',
  'like-the-others': 'By feel, a piece is done when it has had as much as half of the others had.',
  'next-of-many': 'Pieces alike are worked one after the other; those put aside come last.',
  'all-at-once': 'What goes into the machine goes in together, in a stocking or bag.',
  'all-through': firm,
  'put-off':
    'What was next is put off until something else is done. Meanwhile the side and direction with the least work is worked.',
  'by-feel': `By feel it is tested after every few turns of work. ${firm}`,
  'firm-by-feel': firm,
  'dry-face': 'Every side is wetted before it is rubbed.',
  'no-skin-yet': skin,
  'skin-to-test': skin,
  'hairs-through': 'Wool on cloth is rubbed from both sides before it is rolled.',
  'measure-due': measuring,
  'least-worked': `The direction and side with the least work is rolled next. ${measuring}`,
  'direction-lags': `A direction lags when it is ${Math.round(100 * LOPSIDED_PROGRESS)} percentage points behind. Then only that one is rolled. ${measuring}`,
  'nearly-there': `${size} Look at it before you do any more.`,
  'size-reached-soft': `${size} ${firm} Until then, throw it ${PRACTICE.throws} times and test again.`,
  'soft-inside': `${size} ${firm} Until then, test it after every round of hot and cold.`,
  'size-and-firm': `${size} ${firm}`,
  'too-small': size,
  'way-to-go': `The felting model looks for the number of rolls each way that should end closest to the target. It stops short enough that about one piece in a hundred would come out too small. Then you measure again.`,
  'does-not-fit':
    'When a measurement is more likely a slip of the tape than the truth, it is taken once more.',
  'look-again': 'More rolling would not make it more likely to fit; measuring again may tell you more.',
  'as-near-as-it-gets': 'More rolling would not make it more likely to fit.',
  'corner-lags': `A corner that lags is rolled ${PRACTICE.corner} times on its diagonal; then look again.`,
  'thin-to-mend': `A spot with new wool on it is rubbed ${PRACTICE.rubs} times before it is rolled.`,
  'by-recipe':
    'The recipe says what comes next. A dry side, a skin that does not hold, a measurement that is due and a size that is reached come first, and it never rolls further than the felting model thinks safe.',
  'at-its-limit': '200 more rolls would shrink it by less than 0.4 %.',
};

/** How far one line has come, reckoned out. */
const Reckoned = ({ gaugeNow, units }: { readonly gaugeNow: GaugeProgress; readonly units: UnitSystem }) => {
  const show = (mm: number): string => showQuantity(mm, 'length', units);
  const laid = show(gaugeNow.gauge.laidMm);
  return (
    <li>
      <span className="font-semibold">
        {gaugeNow.gauge.id}, {gaugeNow.gauge.name}: {showShare(gaugeNow.progress)}
      </span>{' '}
      {gaugeNow.measured
        ? `= ln(laid ${laid} ÷ now ${show(gaugeNow.nowMm)}) ÷ ln(laid ${laid} ÷ target ${show(gaugeNow.gauge.wantedMm)})`
        : `: not measured yet, so it counts as laid, ${laid}`}
    </li>
  );
};

/** Why the bench says what it says: the rule, how far each line has come, and how the work was counted. */
export const BenchWhy = (props: {
  readonly proposed: ProposedAct;
  readonly forecast: Forecast;
  readonly model: ModelAnswer | null;
  readonly state: BenchState;
  readonly faces: number;
  readonly way: Way;
  readonly units: UnitSystem;
  /** Where all readings together have a line, mm; null where that is not known. */
  readonly computed?: (gaugeId: string) => number | null;
}) => {
  const [open, setOpen] = useState(false);
  const { proposed, forecast, state, units } = props;
  return (
    <>
      <Button size="wet" look="bare" onClick={() => setOpen(true)}>
        Why?
      </Button>
      <Dialog open={open} onOpenChange={setOpen} title="Why this is next" wet>
        <div className="flex flex-col gap-4 text-lg">
          <p>
            {proposalReason(proposed, {
              units,
              way: props.way,
              ...(props.computed ? { computed: props.computed } : {}),
            })}
          </p>
          <p>{RULES[proposed.reason]} These numbers are common practice, with no published source.</p>
          <div>
            <h3 className="font-semibold">How far from laid to target</h3>
            <ul>
              {forecast.gaugeProgress.map(s => (
                <Reckoned key={s.gauge.id} gaugeNow={s} units={units} />
              ))}
            </ul>
            <p className="text-chalk">From your last measurements; work done since then is not guessed at.</p>
          </div>
          {props.model && <ModelWhy model={props.model} forecast={forecast} state={state} units={units} />}
          {state.petals.length > 0 && (
            <div>
              <h3 className="font-semibold">
                Work, counted as rolls in snug bubble wrap with the weight of your arms
              </h3>
              <ul>
                {state.petals.map(p => (
                  <li key={`${p.face}/${p.directionDeg}`}>
                    {DIRECTION[p.directionDeg]}
                    {props.faces > 1 && `, side ${p.face}`}: {p.rolls} rolls, worth {Math.round(p.work)}
                  </li>
                ))}
              </ul>
              <p className="text-chalk">
                Cushion and pressure make each roll count from 0.3 to 2.0 (common practice; nothing was
                measured).
              </p>
            </div>
          )}
        </div>
      </Dialog>
    </>
  );
};
