import { Link } from 'react-router';
import { orderKind } from '../../records/order';
import { dayOf, sayDay } from '../../session/clock';
import { useLinesLeft } from '../../session/useLinesLeft';
import { useNow } from '../../session/useNow';
import { useLive } from '../../session/useRecords';
import { dayAfter, momentOf } from '../../session/workHours';

/** What is wanted within so many days is told on the table. */
const SOON_DAYS = 14;
const LOOKS_MS = 60_000;

/** What was promised and is due soon, the earliest first. */
export const DueSoon = () => {
  const orders = useLive(orderKind) ?? [];
  const lines = useLinesLeft();
  const until = dayAfter(dayOf(useNow(LOOKS_MS)), SOON_DAYS);
  const soon = orders
    .filter(o => o.doneAt === null && o.due !== null && o.due <= until)
    .toSorted((a, b) => ((a.due ?? '') < (b.due ?? '') ? -1 : 1));
  if (soon.length === 0) return null;
  return (
    <ul aria-label="Due soon" className="mb-4 max-w-3xl border-l-4 border-wanted pl-3">
      {soon.map(order => {
        const left = lines.filter(l => l.orderId === order.id).reduce((sum, l) => sum + l.toMake, 0);
        return (
          <li key={order.id}>
            <Link to={`/orders/${order.id}`} className="hover:underline">
              {order.name}: {sayDay(momentOf(order.due ?? '', '12:00'))},{' '}
              {left > 0 ? `${left} still to make` : 'all of it is there'}.
            </Link>
          </li>
        );
      })}
    </ul>
  );
};
