import type { Judge } from '../../acts/vocabulary';
import { GENERAL_PRIOR } from '../../felting/feltingModel';
import { FORM_KINDS } from '../../forms/kinds/registry';
import { newPlan } from '../../plan/newPlan';
import type { RehearsalSetup } from '../rehearsedOf';
import { rehearsedOf } from '../rehearsedOf';
import { playAdvice } from '../playAdvice';
import { rehearse } from '../rehearse';

/** What each is held to: a tape, or an eye. */
const WITHIN: Readonly<Record<Judge, number>> = { tape: 0.03, drawing: 0.05, feel: 0.05 };
/** A felt is asked to shrink no further than it can, with a little to spare. */
const TO_SPARE = 0.06;
const USUAL = { setOfRolls: 30, cushion: 'bubble', pressure: 'arms' } as const;

/** How rehearsals of one way ended. */
export interface RehearsalEnds {
  readonly way: string;
  /** Every line laid ended within what is asked. */
  readonly within: number;
  readonly of: number;
}

/** So many felts are tried until one can shrink so far. */
const MOST_TRIED = 20;

/** Every form that is offered, as it is offered. */
const setups = (judge: Judge): readonly RehearsalSetup[] =>
  FORM_KINDS.flatMap(kind =>
    [kind, ...(kind.also ?? [])].map(offer => ({
      plan: { ...newPlan(kind, { offer }), pieces: 1 },
      way: 'way' in offer ? (offer.way ?? null) : null,
      judge,
      habits: {},
      usual: USUAL,
    })),
  );

/**
 * Plays every form that is offered by the advice alone, so many times, each on a felt of its own, and looks at how it truly ends: by ways.
 * @param times how often each form  @param seed of the first felt; others follow
 */
export const rehearsalsOf = (judge: Judge, times: number, seed = 1): readonly RehearsalEnds[] => {
  const ends = new Map<string, { within: number; of: number }>();
  let n = 0;
  for (let round = 0; round < times; round += 1)
    for (const setup of setups(judge)) {
      n += 1;
      const made = rehearsedOf(setup);
      if (!made.ok) continue;
      const rehearsed = made.value;
      const wanted = Math.max(...rehearsed.form.gauges.map(g => Math.log(g.laidMm / g.wantedMm)));
      const able = Array.from({ length: MOST_TRIED }, (_, i) => seed + 7 * n + 1_000 * i).find(
        s => rehearse(rehearsed, { seed: s, belief: GENERAL_PRIOR }, []).limit > wanted + TO_SPARE,
      );
      if (able === undefined) continue;
      const hidden = { seed: able, belief: GENERAL_PRIOR };
      const player = { pace: 'brisk', setOfRolls: 30, belief: GENERAL_PRIOR } as const;
      const { log, isEnded } = playAdvice([], { rehearsed, hidden, player });
      const truth = rehearse(rehearsed, hidden, log);
      const isWithin = truth.lines
        .slice(0, rehearsed.form.gauges.length)
        .every((l, i) => Math.abs(((truth.shares[i] ?? 1) * l.laidMm) / l.wantedMm - 1) <= WITHIN[judge]);
      const known = ends.get(rehearsed.way.id) ?? { within: 0, of: 0 };
      ends.set(rehearsed.way.id, {
        within: known.within + (isEnded && isWithin ? 1 : 0),
        of: known.of + 1,
      });
    }
  return [...ends].map(([way, both]) => ({ way, ...both }));
};
