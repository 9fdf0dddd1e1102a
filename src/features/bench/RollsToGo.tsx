import { AXIS_WORDS } from '../../words/axes';
import type { ModelAnswer } from '../../core/advice/modelAct';
import type { RollRange } from '../../core/felting/forecastPiece';
import { duration } from '../../core/acts/actWords';
import { showShare } from '../../core/units/units';

/** More than this is not predicted to a figure. */
const MOST = 1000;
const tens = (rolls: number): number => Math.round(rolls / 10) * 10;

/** @example countWords({ low: 190, middle: 330, high: 600 }, 'crosswise') // 'about 330 crosswise, 190 at least' */
const countWords = ({ low, middle }: RollRange, way: string): string => {
  const more = middle > MOST ? `over ${MOST}` : `about ${tens(middle)}`;
  const least = tens(low) > 0 ? `${tens(low)} at least` : 'or none';
  return `${[more, way].filter(Boolean).join(' ')}, ${least}`;
};

/** @example minuteWords({ low: 8.4, middle: 12, high: 20 }) // 'about 12 min, 8 at least' */
const minuteWords = ({ low, middle }: RollRange): string =>
  `about ${duration(Math.max(1, Math.round(middle)))}, ${low < 1 ? 'or none' : `${Math.round(low)} at least`}`;

/** What a figure rests on before the piece was measured. */
const before = ({ ownShare, pieces }: ModelAnswer['learntFrom']): string =>
  pieces > 0
    ? `, by ${pieces} of your pieces and swatches until you measure (${showShare(ownShare)} from your own)`
    : ', by general practice until you measure';

/** How many more rolls each way. How likely it is to fit then stands behind “Why?”. */
export const RollsToGo = ({ model }: { readonly model: ModelAnswer }) => {
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
              {isTimed ? minuteWords(w.count) : countWords(w.count, w.name)}
            </p>
          ))
      )}
    </section>
  );
};
