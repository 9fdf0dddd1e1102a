import { z } from 'zod';
import { showQuantity } from '../units/units';
import { LengthMm } from './actFields';
import { defineAct } from './actSpec';
import { doneOf } from './benchFold';

/** Gauge lines are measured, mm by their id; null where one was not taken. Read from a picture, each says within how much it is. */
export const measure = defineAct(
  z.object({
    kind: z.literal('measure'),
    readings: z.record(z.string().max(16), LengthMm.nullable()),
    /** Of lines read from a picture: within how much each is, 95 times in 100, mm. Left out where a tape was used. */
    within: z.record(z.string().max(16), LengthMm).exactOptional(),
  }),
)({
  place: 'bench',
  words: ({ readings, within }, { units }) =>
    `Measured ${within ? 'by a picture ' : ''}${Object.entries(readings)
      .flatMap(([id, mm]) =>
        mm === null
          ? []
          : [
              `${id} ${showQuantity(mm, 'length', units)}${within?.[id] === undefined ? '' : ` ± ${showQuantity(within[id], 'length', units)}`}`,
            ],
      )
      .join(', ')}`,
  fold: (fold, { readings }, { entryId, at }) => {
    const [rollsBefore, throwsBefore] = [doneOf(fold, 'roll'), doneOf(fold, 'throw')];
    fold.readings.push({ entryId, at, readings, rollsBefore, throwsBefore });
    for (const [id, mm] of Object.entries(readings)) if (mm !== null) fold.now[id] = mm;
  },
  asked: {
    measure: {
      name: 'measure',
      takes: [],
      words: () => 'Measure',
      left: (_, done, { judge }) =>
        done('') > 0 || judge === 'feel'
          ? []
          : [{ does: 'panel', panel: judge === 'drawing' ? 'compare' : 'measure' }],
    },
  },
});
