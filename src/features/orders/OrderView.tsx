import { Link, useParams } from 'react-router';
import { deliveredOf } from '../../core/stock/ledger';
import { type Order, orderKind } from '../../records/order';
import { localDay } from '../../session/clock';
import { promiseSaid } from '../../session/promiseSaid';
import { useChange } from '../../session/useChanges';
import { useDeleteTold } from '../../session/useDeleteTold';
import { useSchedule } from '../../session/useOpenWork';
import { useLive } from '../../session/useRecords';
import { useLedger } from '../../session/useStock';
import { useMoney } from '../../session/useWorkplace';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';
import { DateField } from '../../ui/DateField';
import { TextField } from '../../ui/TextField';
import { useTitle } from '../../ui/useTitle';
import { Why } from '../../ui/Why';
import { READY_BY_WORDS } from '../../words/orders';
import { OrderLines } from './OrderLines';
import { OrderNeeds } from './OrderNeeds';
import { linePaid, type SectionProps } from './sectionProps';

/** Whether it will be ready, in one large sentence. */
const Ready = ({ order, schedule }: SectionProps) => {
  const { ready, open, lines } = schedule;
  const own = lines.filter(l => l.orderId === order.id);
  const promise = open.promises.find(p => p.id === order.id);
  const sure = ready?.find(r => r.id === order.id);
  if (order.doneAt !== null || !promise || order.lines.length === 0) return null;
  if (own.every(l => l.toMake === 0)) return <p className="text-2xl">All of it is there.</p>;
  if (own.some(l => l.isOpen) && promise.of.length === 0)
    return <p className="text-lg">Choose what it is, and Jorrit says when it can be ready.</p>;
  if (!sure) return <p className="text-lg">Working out when it can be ready …</p>;
  const said = promiseSaid(sure, promise.due);
  return (
    <div role="status" className="flex items-start gap-2">
      <div>
        <p className={`text-2xl ${said.isLikely ? '' : 'font-semibold text-wanted'}`}>{said.head}</p>
        {said.more.map(line => (
          <p key={line} className="text-lg">
            {line}
          </p>
        ))}
      </div>
      <Why of="this chance">
        <p>
          Everything on the table and everything promised is laid into your hours, and the paces of hands and
          drying are drawn 500 times. It counts as ready {READY_BY_WORDS[order.sort]}.
        </p>
      </Why>
    </div>
  );
};

/** What it comes to, and handing it over. */
const Ending = ({ order, change, schedule }: SectionProps) => {
  const { show } = useMoney();
  const { append } = useLedger();
  const { nowIso } = useWorkshop();
  const { book } = schedule;
  const priced = order.lines.map(l => ({
    line: l,
    price: linePaid(l, l.count, book.products),
    left: l.productId === null ? 0 : l.count - deliveredOf(book.stock, order.id, l.productId),
  }));
  const sum = priced.reduce((all, { price }) => all + (price ?? 0), 0);
  const handOver = (): void => {
    const moves = priced
      .filter(p => p.left > 0)
      .map(({ line, left }) => ({
        productId: line.productId ?? '',
        move: order.sort === 'gift' ? ('given' as const) : ('sold' as const),
        count: left,
        paid: order.sort === 'gift' ? null : linePaid(line, left, book.products),
        orderId: order.id,
      }));
    // It is said to be handed over once the ledger has it: leaving the page in the middle leaves it open.
    const done = (): void => change(o => ({ ...o, doneAt: nowIso() }), 'handed over');
    if (moves.length === 0) done();
    else void append(moves, `hand over ${order.name}`).then(isKept => isKept && done());
  };
  const short = priced.filter(
    p => p.left > 0 && (book.stock.get(p.line.productId ?? '')?.onHand ?? 0) < p.left,
  );
  if (order.doneAt !== null)
    return (
      <div className="flex flex-wrap items-center gap-4">
        <p className="font-semibold">Handed over on {localDay(order.doneAt)}.</p>
        <Button onClick={() => change(o => ({ ...o, doneAt: null }), 'open again')}>Open it again</Button>
      </div>
    );
  return (
    <section aria-label="Handing over" className="flex flex-col gap-2">
      {order.sort !== 'gift' && sum > 0 && (
        <p className="text-lg">
          It comes to <strong>{show(sum)}</strong>
          {priced.some(p => p.price === null) && ', without what has no price yet'}.
        </p>
      )}
      {order.sort === 'fair' ? (
        <>
          <p>
            Enter what you sell under{' '}
            <Link to="/stock" className="underline">
              Stock
            </Link>
            , with this fair beside it. What is left stays in stock.
          </p>
          <Button
            className="self-start"
            onClick={() => change(o => ({ ...o, doneAt: nowIso() }), 'the fair is over')}
          >
            The fair is over
          </Button>
        </>
      ) : (
        <>
          <Button className="self-start" onClick={handOver}>
            {order.sort === 'gift' ? 'It is given' : 'Hand it over'}
          </Button>
          {short.length > 0 && (
            <p className="text-[13px] text-chalk">
              Not all of it is in stock by your ledger. You may hand it over all the same: the stock then
              stands below nought until you count it.
            </p>
          )}
        </>
      )}
    </section>
  );
};

const OrderOf = ({ order }: { readonly order: Order }) => {
  useTitle(order.name);
  const schedule = useSchedule();
  const changeOrder = useChange(orderKind);
  const remove = useDeleteTold(orderKind, '/orders');
  const change: SectionProps['change'] = (how, label) => changeOrder(order.id, how, { label, key: label });
  const parts = { order, change, schedule };
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-5 overflow-auto px-6 py-4">
      <h1 className="sr-only">{order.name}</h1>
      <div className="flex flex-wrap items-end gap-4">
        <TextField
          label="Name"
          hideLabel
          className="min-w-60 flex-1 text-2xl font-semibold"
          value={order.name}
          required
          onText={name => change(o => ({ ...o, name: name.slice(0, 200) }), 'name')}
        />
        <DateField
          label="Wanted on"
          value={order.due}
          onDay={due => change(o => ({ ...o, due }), 'wanted on')}
        />
        <Button look="bare" onClick={() => remove(order)}>
          Delete
        </Button>
      </div>
      <Ready {...parts} />
      <div className="grid gap-x-12 gap-y-6 xl:grid-cols-2">
        <div className="flex flex-col gap-5">
          <OrderLines {...parts} />
          <Ending {...parts} />
        </div>
        <div className="flex flex-col gap-5">
          <OrderNeeds {...parts} />
          <TextField
            label="Notes"
            lines={3}
            value={order.notes}
            onText={notes => change(o => ({ ...o, notes }), 'notes')}
          />
        </div>
      </div>
    </div>
  );
};

/** One promise: what, how many, till when; whether it will be ready, and what it needs. */
export const OrderView = () => {
  const { orderId = '' } = useParams();
  const orders = useLive(orderKind);
  if (!orders) return <p className="p-4">Opening …</p>;
  const order = orders.find(o => o.id === orderId);
  return order ? (
    <OrderOf key={orderId} order={order} />
  ) : (
    <div className="p-8">
      <h1 className="text-3xl font-semibold">This order is not in this browser.</h1>
      <Link to="/orders" className="underline">
        Back to the orders
      </Link>
    </div>
  );
};
