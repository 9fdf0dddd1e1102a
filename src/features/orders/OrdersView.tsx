import { useState } from 'react';
import { Link } from 'react-router';
import { deliveredOf } from '../../core/stock/ledger';
import { newOrder, type Order, ORDER_SORTS, type OrderSort, orderKind } from '../../records/order';
import { localDay, sayDay } from '../../session/clock';
import { promiseSaid } from '../../session/promiseSaid';
import { useAddAndOpen } from '../../session/useAddAndOpen';
import { useSchedule } from '../../session/useOpenWork';
import { useLive } from '../../session/useRecords';
import { momentOf } from '../../session/workHours';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { useTitle } from '../../ui/useTitle';
import { ORDER_WORDS } from '../../words/orders';

type Schedule = ReturnType<typeof useSchedule>;

/** One promise in a line: what, till when, how far, and whether it will be ready. */
const OrderLine = ({ order, schedule }: { readonly order: Order; readonly schedule: Schedule }) => {
  const { book, lines, ready, open } = schedule;
  const wanted = order.lines.reduce((sum, l) => sum + l.count, 0);
  const left = lines.filter(l => l.orderId === order.id).reduce((sum, l) => sum + l.toMake, 0);
  const handed = order.lines.reduce(
    (sum, l) => (l.productId === null ? sum : sum + deliveredOf(book.stock, order.id, l.productId)),
    0,
  );
  const promise = open.promises.find(p => p.id === order.id);
  const sure = ready?.find(r => r.id === order.id);
  const said = sure && promise ? promiseSaid(sure, promise.due) : null;
  return (
    <li className="border-b border-rim py-2">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <Link to={`/orders/${order.id}`} className="min-w-48 flex-1 text-lg font-semibold hover:underline">
          {order.name}
        </Link>
        <span>{ORDER_WORDS[order.sort].one}</span>
        <span className="w-40 tabular-nums">
          {order.due === null ? 'no day' : sayDay(momentOf(order.due, '12:00'))}
        </span>
        <span className="w-56 tabular-nums">
          {wanted} wanted{left > 0 ? `, ${left} to make` : ', all there'}
          {handed > 0 && `, ${handed} ${order.sort === 'gift' ? 'given' : 'sold'}`}
        </span>
      </div>
      {order.lines.length > 0 && left > 0 && (
        <p className={said && !said.isLikely ? 'font-semibold text-wanted' : ''}>
          {said ? [said.head, ...said.more].join(' ') : 'Working out when it can be ready …'}
        </p>
      )}
    </li>
  );
};

/** What was promised: orders, fairs, and days of one's own. */
export const OrdersView = () => {
  useTitle('Orders');
  const orders = useLive(orderKind);
  const schedule = useSchedule();
  const addAndOpen = useAddAndOpen(orderKind, id => `/orders/${id}`);
  const { chance, nowIso } = useWorkshop();
  const [sort, setSort] = useState<OrderSort>('order');
  const begin = (): void => {
    const order = newOrder({ id: chance.newId(), name: ORDER_WORDS[sort].title, sort, now: nowIso() });
    addAndOpen(order);
  };
  if (!orders) return <p className="p-4">Opening …</p>;
  const open = orders
    .filter(o => o.doneAt === null)
    .toSorted((a, b) => (a.due ?? '9').localeCompare(b.due ?? '9') || (a.id < b.id ? -1 : 1));
  const done = orders
    .filter(o => o.doneAt !== null)
    .toSorted((a, b) => ((a.doneAt ?? '') < (b.doneAt ?? '') ? 1 : -1));
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-5 overflow-auto px-6 py-4">
      <h1 className="text-3xl font-semibold">Orders</h1>
      <div className="flex flex-wrap items-end gap-3">
        <Choice
          label="What is promised"
          value={sort}
          options={ORDER_SORTS.map(value => ({ value, text: ORDER_WORDS[value].choice }))}
          onChoose={setSort}
        />
        <Button look="main" onClick={begin}>
          Promise it
        </Button>
        <Link to="/schedule" className="underline underline-offset-2">
          To the schedule
        </Link>
      </div>
      {open.length === 0 ? (
        <p className="max-w-prose text-lg">
          Nothing is promised. An order, a fair, or a birthday: say what, how many and till when. Jorrit says
          what it needs, what is short, and whether it will be ready.
        </p>
      ) : (
        <ul aria-label="Promised" className="max-w-4xl">
          {open.map(order => (
            <OrderLine key={order.id} order={order} schedule={schedule} />
          ))}
        </ul>
      )}
      {done.length > 0 && (
        <section aria-labelledby="handed-over" className="max-w-4xl">
          <h2 id="handed-over" className="border-b border-ink text-lg font-semibold">
            Handed over
          </h2>
          <ul>
            {done.map(order => (
              <li key={order.id} className="flex flex-wrap gap-x-4 border-b border-rim py-1">
                <Link to={`/orders/${order.id}`} className="flex-1 hover:underline">
                  {order.name}
                </Link>
                <span className="text-chalk">{localDay(order.doneAt ?? '')}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
};
