import { describe, expect, it } from 'vitest';
import { CONTROLS } from '../core/acts/act';
import { wayOf } from '../core/ways/register';
import { planOf } from '../core/plan/planOf';
import { PAD } from '../core/plan/testing/pad';
import { DEFAULT_SETTINGS } from '../records/settings';
import { workTold } from './diary';
import { pieceWording } from './pieceWording';

describe('work as it is told afterwards', () => {
  const plan = planOf(PAD);
  if (!plan.ok) throw new Error('no plan');
  const wording = pieceWording(wayOf(plan.value.kind, plan.value.form, null), 2, 'metric');

  it('is one sentence, without the side', () => {
    const rolled = { kind: 'roll', rolls: 70, cushion: 'bubble', pressure: 'arms', face: 2 } as const;
    expect(
      workTold(
        [
          { kind: 'wet', face: 1, water: 'hot' },
          { ...rolled, directionDeg: 0 },
          { ...rolled, directionDeg: 90 },
        ],
        wording,
      ),
    ).toBe('Wetted it with hot water, rolled 70 lengthwise, rolled 70 crosswise.');
  });

  it('is in the past for every act that a tap can log', () => {
    const acts = CONTROLS.flatMap(
      c =>
        c.make(
          {
            face: 1,
            directionDeg: 0,
            count: 3,
            water: 'hot',
            piece: 1,
            next: null,
            step: 'dry',
            what: 'cut',
          },
          DEFAULT_SETTINGS,
        ) ?? [],
    );
    expect(acts.length).toBeGreaterThan(25);
    for (const act of acts)
      expect(workTold([act], wording)).not.toMatch(
        /^(Roll|Rub|Wet|Throw|Stir|Squeeze|Shake|Fold|Trim|Turn|Work|Stretch|Pat|Machine|Hot and cold|Open|Take)\b/,
      );
  });
});
