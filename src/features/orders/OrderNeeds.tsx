import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { showQuantity } from '../../core/units/units';
import { freshWater, handsNeed, lineWants, rackNeed } from '../../session/orderNeeds';
import { useNeedSums } from '../../session/useNeeds';
import { useParts, useSettings, useWools } from '../../session/useRecords';
import { useGramsLeft } from '../../session/useShelf';
import { lengthWords } from '../../words/schedule';
import type { SectionProps } from './sectionProps';

const Row = (props: {
  readonly name: ReactNode;
  readonly need: string;
  readonly there: string;
  readonly short: string | null;
  readonly instead?: string | null;
}) => (
  <tr className="border-b border-rim align-baseline">
    <th scope="row" className="py-1 pr-3 text-left font-semibold">
      {props.name}
    </th>
    <td className="pr-3 text-right tabular-nums">{props.need}</td>
    <td className="pr-3 text-right tabular-nums">{props.there}</td>
    <td className={props.short ? 'font-semibold text-wanted' : 'text-chalk'}>
      {props.short ?? 'enough'}
      {props.instead && <span className="block font-normal text-ink">{props.instead}</span>}
    </td>
  </tr>
);

const figure = (amount: number): string => String(Math.round(100 * amount) / 100);

/** What an order needs of wool, parts, hours, rack and water, against what is there; and what would do where it is short. */
export const OrderNeeds = ({ order, schedule }: SectionProps) => {
  const { book, lines, open, planned } = schedule;
  const { units } = useSettings();
  const wools = useWools().filter(w => w.deletedAt === null);
  const parts = useParts();
  const gramsLeft = useGramsLeft();
  const sums = useNeedSums();
  const own = lines.filter(l => l.orderId === order.id);
  const wants = own.map(l => lineWants(l, book));
  const mass = (g: number): string => showQuantity(g, 'mass', units);
  const woolSums = sums.wools(wants.flatMap(w => w.wools));
  const partSums = sums.parts(wants.flatMap(w => w.parts));
  const promise = open.promises.find(p => p.id === order.id);
  const hands =
    planned && promise
      ? handsNeed(planned, open.hours, { ids: new Set(promise.of), due: promise.due })
      : null;
  const water = own.reduce((sum, l) => sum + freshWater(l), 0);
  const rack = planned ? rackNeed(planned, own, open.rackPlaces) : null;
  /** Another wool of the same sort of which there is enough. */
  const instead = (id: string, needed: number): string | null => {
    const wool = wools.find(w => w.id === id);
    const other = wools.find(
      w => w.id !== id && w.sort === wool?.sort && w.fibre === wool.fibre && (gramsLeft(w) ?? 0) >= needed,
    );
    return other
      ? `${other.name} would do: ${mass(gramsLeft(other) ?? 0)} of it are there.`
      : 'Buy that much, or make fewer.';
  };
  if (own.every(l => l.toMake === 0)) return null;
  return (
    <section aria-labelledby="needs">
      <h2 id="needs" className="border-b border-ink text-lg font-semibold">
        What it needs
      </h2>
      <table className="w-full">
        <thead className="text-[13px] text-chalk">
          <tr>
            <th className="text-left font-normal">of</th>
            <th className="pr-3 text-right font-normal">needed</th>
            <th className="pr-3 text-right font-normal">there</th>
            <th className="text-left font-normal">short</th>
          </tr>
        </thead>
        <tbody>
          {woolSums.map(sum => (
            <Row
              key={sum.id}
              name={
                <Link to={`/shelf/${sum.id}`} className="hover:underline">
                  {wools.find(w => w.id === sum.id)?.name ?? 'a wool that is gone'}
                </Link>
              }
              need={mass(sum.needed)}
              there={sum.left === null ? 'not counted' : mass(sum.left)}
              short={sum.short > 0 ? `${mass(sum.short)} short` : sum.left === null ? 'count it' : null}
              instead={sum.short > 0 ? instead(sum.id, sum.needed) : null}
            />
          ))}
          {partSums.map(sum => {
            const part = parts.find(p => p.id === sum.id);
            const said = (amount: number): string =>
              `${figure(amount)} ${part && part.unit !== 'pieces' ? part.unit : ''}`.trim();
            return (
              <Row
                key={sum.id}
                name={
                  <Link to="/parts" className="hover:underline">
                    {part?.name ?? 'a part that is gone'}
                  </Link>
                }
                need={said(sum.needed)}
                there={sum.left === null ? 'not counted' : said(sum.left)}
                short={sum.short > 0 ? `${said(sum.short)} short` : sum.left === null ? 'count them' : null}
              />
            );
          })}
          {hands && (
            <Row
              name="Hours of hands"
              need={lengthWords(hands.needMin)}
              there={hands.freeMin === null ? 'no day' : lengthWords(hands.freeMin)}
              short={
                hands.shortMin > 0
                  ? `${lengthWords(hands.shortMin)} short`
                  : hands.freeMin === null
                    ? ''
                    : null
              }
              instead={
                hands.shortMin > 0
                  ? 'More hours, a later day, or fewer pieces. Other work takes the rest of your hours.'
                  : null
              }
            />
          )}
          {rack && rack.atOnce > 0 && (
            <Row
              name="Places on the rack"
              need={`${rack.atOnce} at once`}
              there={String(open.rackPlaces)}
              short={rack.isFull ? 'it is full at times' : null}
              instead={rack.isFull ? 'Over warm air they dry in less than half the time.' : null}
            />
          )}
          {water > 0 && <Row name="Fresh water" need={`${water} times`} there="the tap" short="" />}
        </tbody>
      </table>
      <p className="mt-1 text-[13px] text-chalk">
        Wool with its reserve. What pieces on the table still need stands under Projects.
      </p>
    </section>
  );
};
