import { type Act, controlOf } from '../acts/act';
import { type ProposedAct, proposedChoices, proposedKind } from '../advice/proposedAct';
import { nextAct } from '../advice/nextAct';
import type { ModelAnswer } from '../advice/modelAct';
import { feltingRecordOf, formForModel } from '../felting/feltingRecordOf';
import { forecastPiece } from '../felting/forecastPiece';
import type { MoveSize } from '../felting/nextMove';
import { progressForecast } from '../forecast/progressForecast';
import { linesNow } from '../forms/fits';
import { benchState } from '../log/benchState';
import type { LogEntry } from '../log/entry';
import { SIZE_TOLERANCE } from '../tolerances';
import { shrinkOf, workOfOne } from '../ways/shrinkOf';
import { sidesOf } from '../ways/sidesOf';
import type { Hidden, Rehearsed } from './hidden';
import { type FeltTruth, rehearse } from './rehearse';
import { compared, pinched, taped, tested } from './senses';

/** More acts than these no piece takes. */
const MOST_ACTS = 160;

/** How the advice is followed. */
export interface Player {
  readonly pace: MoveSize;
  readonly setOfRolls: number;
  /** What is believed of the felt at the bench, which need not be what it was drawn from. */
  readonly belief: Hidden['belief'];
}

/** What the bench would advise of a log, by the same model and rules. */
const adviceFor = (log: readonly LogEntry[], of: Rehearsed, player: Player): ProposedAct => {
  const { form, way, judge, habits, usual } = of;
  const state = benchState(log);
  const lines = linesNow(form, state.isCut);
  const record = feltingRecordOf(log, formForModel(form, lines.modelled), player.belief);
  const shrink = shrinkOf(way, form.gauges);
  const perUnit = workOfOne(shrink.kind, usual, state.water ?? 'hot');
  const intensity = shrink.kind === 'roll' ? perUnit : 1;
  // By feel no model is asked.
  const model: ModelAnswer | null =
    judge === 'feel'
      ? null
      : {
          pieceForecast: forecastPiece(record, {
            targets: {
              wanted: lines.modelled.map(g => Math.log(g.wantedMm / g.laidMm)),
              tolerance: SIZE_TOLERANCE,
            },
            intensity,
            hasDirections: way.hasDirections,
            pace: player.pace,
          }),
          intensity,
          perUnit,
          since: record.since,
          hasDirections: way.hasDirections,
          learntFrom: { ownShare: 0, pieces: 0 },
        };
  const faces = sidesOf(form, way);
  return nextAct(state, progressForecast(lines.modelled.slice(0, lines.measurable), state), {
    faces,
    legs: way.hasBack ? [1, 2] : faces,
    setOfRolls: player.setOfRolls,
    way,
    model,
    form,
    plan: form,
    judge,
    habits,
    openings: progressForecast(lines.openings, state).gaugeProgress,
  });
};

/** The act that comes of an advice, with what the hands and the tape find; null where the work ends. */
const actOf = (
  proposed: ProposedAct,
  truth: FeltTruth,
  of: { readonly rehearsed: Rehearsed; readonly hidden: Hidden },
): Act | null => {
  const { rehearsed, hidden } = of;
  switch (proposed.act) {
    case 'stop':
    case 'step':
      return null;
    case 'pinch':
      return { kind: 'pinch', grade: pinched(truth, hidden) };
    case 'test':
      return { kind: 'test', test: proposed.test, grade: tested(proposed.test, truth, hidden) };
    // What is too small is pulled as far as it goes, and measured.
    case 'stretch':
    case 'measure':
      return { kind: 'measure', readings: taped(truth, hidden, rehearsed) };
    case 'compare':
      return compared(truth, hidden, rehearsed);
    case 'look':
      return { kind: 'look', wetness: 'right', foam: 'right' };
    default: {
      const choices = proposedChoices(proposed);
      // By feel nobody counts.
      const isFelt = rehearsed.judge === 'feel' && proposed.reason === 'by-feel';
      const how = isFelt ? { ...choices, feel: true } : choices;
      return controlOf(proposedKind(proposed) ?? '')?.make(how, rehearsed.usual) ?? null;
    }
  }
};

/** A rehearsal that was played by the advice alone: its whole log, and whether the advice ended it. */
export interface Played {
  readonly log: readonly LogEntry[];
  readonly isEnded: boolean;
}

/**
 * Plays on from a log by the advice alone, until it ends the work, or says twice running that something is too small. Pure; every act asks the
 * felting model, some 20 ms each.
 */
export const playAdvice = (
  log: readonly LogEntry[],
  of: { readonly rehearsed: Rehearsed; readonly hidden: Hidden; readonly player: Player },
): Played => {
  const { rehearsed, hidden, player } = of;
  let played = log;
  let stretched = 0;
  for (let n = 0; n < MOST_ACTS; n += 1) {
    const proposed = adviceFor(played, rehearsed, player);
    stretched = proposed.act === 'stretch' ? stretched + 1 : 0;
    const act =
      stretched > 1 ? null : actOf(proposed, rehearse(rehearsed, hidden, played), { rehearsed, hidden });
    if (!act) return { log: played, isEnded: true };
    const last = played.at(-1);
    // A new log each time: what is worked out of a log is kept by the log.
    played = played.concat({
      id: `played-${played.length + 1}`,
      seq: (last?.seq ?? 0) + 1,
      at: last?.at ?? '2026-01-01T00:00:00.000Z',
      act,
    });
  }
  return { log: played, isEnded: false };
};
