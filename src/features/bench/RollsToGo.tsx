import { memo } from 'react';
import { AXIS_WORDS } from '../../words/axes';
import type { ModelAnswer } from '../../core/advice/modelAct';
import type { RollRange } from '../../core/felting/forecastPiece';
import { showShare } from '../../core/units/units';
import { minutesToGo, rollsToGo } from '../../words/workToGo';

/** What a figure rests on before the piece was measured. */
const before = ({ ownShare, pieces }: ModelAnswer['learntFrom']): string =>
  pieces > 0
    ? `, by ${pieces} of your pieces and swatches until you measure (${showShare(ownShare)} from your own)`
    : ', by general practice until you measure';

/** How many more rolls each way. How likely it is to fit then stands behind “Why?”. */
export const RollsToGo = memo(({ model }: { readonly model: ModelAnswer }) => {
  const { pieceForecast, hasDirections } = model;
  const { intensity, perUnit } = model;
  const isTimed = perUnit !== intensity;
  const inUnits = (range: RollRange): RollRange =>
    isTimed
      ? {
          low: (range.low * intensity) / perUnit,
          middle: (range.middle * intensity) / perUnit,
          high: (range.high * intensity) / perUnit,
        }
      : range;
  const along = inUnits(pieceForecast.along);
  const across = inUnits(pieceForecast.across);
  const isGeneral = pieceForecast.measurings === 0;
  const ways = hasDirections
    ? [
        { name: AXIS_WORDS.along, count: along },
        { name: AXIS_WORDS.across, count: across },
      ]
    : [{ name: '', count: along }];
  const nothing = along.middle === 0 && across.middle === 0;
  return (
    <section aria-label="Still to do" className={isGeneral ? 'text-chalk' : ''}>
      <p className="text-sm text-chalk">
        {isTimed ? 'Time to go' : 'Rolls to go'}
        {isGeneral ? before(model.learntFrom) : ''}
      </p>
      {nothing ? (
        <p className="text-2xl leading-snug">none</p>
      ) : (
        ways
          .filter(w => w.count.middle > 0)
          .map(w => (
            <p key={w.name} className="text-xl leading-snug">
              {isTimed ? minutesToGo(w.count) : rollsToGo(w.count, w.name)}
            </p>
          ))
      )}
    </section>
  );
});
RollsToGo.displayName = 'RollsToGo';
