import { useState } from 'react';
import type { ProposedAct, Reason } from '../../core/advice/proposedAct';
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
import { proposalReason } from './benchWords';

const skin = `Each face is rubbed ${PRACTICE.rubs} times before its skin is tested; it may be rolled when the skin lifts as one.`;
const measuring = `It is measured every ${PRACTICE.measureEvery.far} rolls; every ${PRACTICE.measureEvery.near} near the end, or when it is lopsided.`;
const size = `A line is there within ${showShare(SIZE_TOLERANCE)} of what is wanted.`;

const firm =
  'It is firm when nothing lifts in the pinch test; a solid when it hardly gives, cloth when it is puckered all over.';

/** The rule behind each reason. All of them are common practice. */
const RULES: Readonly<Record<Reason, string>> = {
  'dry-face': 'Every face is wetted before it is rubbed.',
  'no-skin-yet': skin,
  'skin-to-test': skin,
  'measure-due': measuring,
  'least-worked': `The direction and face with the least work is rolled next. ${measuring}`,
  'direction-lags': `A direction lags when it is ${Math.round(100 * LOPSIDED_PROGRESS)} points of the way behind. Only that one is rolled. ${measuring}`,
  'nearly-there': `${size} It is looked at before any more is done.`,
  'size-reached-soft': `${size} ${firm} Until then it is thrown ${PRACTICE.throws} times and tested again.`,
  'soft-inside': `${size} ${firm} Until then it is tested after every round of hot and cold.`,
  'size-and-firm': `${size} ${firm}`,
  'too-small': size,
  'way-to-go': `The felting model looks for the rolls each way that would end nearest to what is wanted, and goes only so far that hardly one piece in a hundred would be below its size. Then it is measured again.`,
  'does-not-fit': 'A reading that is likelier a slip of the tape than the truth is taken once more.',
  'look-again': 'No further roll would make it likelier to be there; another reading may tell more.',
  'as-near-as-it-gets': 'No further roll would make it likelier to be there.',
  'corner-lags': `A corner that lags is rolled ${PRACTICE.corner} times on its diagonal before it is looked at again.`,
  'thin-to-mend': `A spot that was covered anew is rubbed ${PRACTICE.rubs} times before it is rolled.`,
  'by-recipe':
    'The recipe that is followed says what comes next. A dry face, a skin that does not hold, a measuring that is due and a size that is reached come first, and it rolls no further than the felting model risks.',
  'at-its-limit': '200 more rolls would move it by less than 0.4 %.',
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
        ? `= ln(laid ${laid} ÷ now ${show(gaugeNow.nowMm)}) ÷ ln(laid ${laid} ÷ wanted ${show(gaugeNow.gauge.wantedMm)})`
        : `: not measured yet, so it stands as laid, ${laid}`}
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
  readonly units: UnitSystem;
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
          <p>{proposalReason(proposed, units)}</p>
          <p>{RULES[proposed.reason]} These counts are common practice, with no published source.</p>
          <div>
            <h3 className="font-semibold">Share of the way from laid to wanted</h3>
            <ul>
              {forecast.gaugeProgress.map(s => (
                <Reckoned key={s.gauge.id} gaugeNow={s} units={units} />
              ))}
            </ul>
            <p className="text-chalk">From the last measuring; what was done since is not guessed at.</p>
          </div>
          {props.model && <ModelWhy model={props.model} forecast={forecast} state={state} units={units} />}
          {state.petals.length > 0 && (
            <div>
              <h3 className="font-semibold">Work, in rolls of snug bubble wrap under the arms’ weight</h3>
              <ul>
                {state.petals.map(p => (
                  <li key={`${p.face}/${p.directionDeg}`}>
                    {DIRECTION[p.directionDeg]}
                    {props.faces > 1 && `, face ${p.face}`}: {p.rolls} rolls, worth {Math.round(p.work)}
                  </li>
                ))}
              </ul>
              <p className="text-chalk">
                Cushion and pressure weigh each roll from 0.3 to 2.0 (common practice; nothing was measured).
              </p>
            </div>
          )}
        </div>
      </Dialog>
    </>
  );
};
