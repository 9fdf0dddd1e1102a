import { Link } from 'react-router';
import type { Order } from '../../records/order';
import { sayDay } from '../../session/clock';
import { useLinesLeft } from '../../session/useLinesLeft';
import { momentOf } from '../../session/workHours';

/** What was promised and is due soon, with what is left to make of it. */
export const DueSoon = ({ soon }: { readonly soon: readonly Order[] }) => {
  const lines = useLinesLeft();
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
