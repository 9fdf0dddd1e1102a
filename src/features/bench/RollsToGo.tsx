import { Fragment } from 'react';
import type { ModelAnswer } from '../../core/advice/modelAct';
import type { RollRange } from '../../core/felting/forecastPiece';
import { SIZE_TOLERANCE } from '../../core/tolerances';
import { showShare } from '../../core/units/units';

/** More than this is not foretold to a figure. */
const MOST = 1000;
const tens = (rolls: number): string => String(Math.round(rolls / 10) * 10);

const countWords = ({ low, middle, high }: RollRange): string => {
  const upper = high > MOST ? 'more' : tens(high);
  return middle > MOST ? `over ${MOST}` : `${tens(middle)} (${tens(low)}–${upper})`;
};

/** What a figure rests on before the piece was measured. */
const before = ({ ownShare, pieces }: ModelAnswer['learntFrom']): string =>
  pieces > 0
    ? `, until it is measured by ${pieces} of your pieces and swatches (${showShare(ownShare)} of it your own)`
    : ', by general practice until it is measured';

const riskWords = (risk: number): string => (risk < 0.005 ? 'under 1 %' : showShare(risk));

/** How many more rolls each way, and how likely it is to end within the tolerance. */
export const RollsToGo = ({ model }: { readonly model: ModelAnswer }) => {
  const { pieceForecast, hasDirections } = model;
  const { along, across } = pieceForecast;
  const isGeneral = pieceForecast.measurings === 0;
  const ways = hasDirections
    ? [
        { name: 'along', count: along },
        { name: 'across', count: across },
      ]
    : [{ name: '', count: along }];
  const nothing = along.middle === 0 && across.middle === 0;
  return (
    <section aria-label="Still to do" className={isGeneral ? 'text-chalk' : ''}>
      <p className="text-sm text-chalk">Still to roll{isGeneral ? before(model.learntFrom) : ''}</p>
      <p className="text-2xl leading-snug">
        {nothing
          ? 'nothing'
          : ways
              .filter(w => w.count.middle > 0)
              .map((w, i) => (
                <Fragment key={w.name}>
                  {i > 0 && ', '}
                  <span className="font-semibold">{countWords(w.count)}</span> {w.name}
                </Fragment>
              ))}
      </p>
      <p className="text-base">
        Within {showShare(SIZE_TOLERANCE)} of every size: {showShare(pieceForecast.withinNow)} now
        {nothing ? '' : `, ${showShare(pieceForecast.withinThen)} after that`}.
        {pieceForecast.move.kind === 'roll' &&
          ` Risk of the next move: ${riskWords(pieceForecast.risk)} too small.`}
      </p>
    </section>
  );
};
