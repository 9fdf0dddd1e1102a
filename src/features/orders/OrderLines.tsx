import { deliveredOf } from '../../core/stock/ledger';
import { planOf } from '../../core/plan/planOf';
import { pieceAgain } from '../../records/piece';
import { newLine, type OrderLine } from '../../records/order';
import { newProduct, productKind } from '../../records/product';
import { useNotify } from '../../session/notices';
import { useAdd, useAddPiece } from '../../session/useChanges';
import { useMoney } from '../../session/useWorkplace';
import { useLive } from '../../session/useRecords';
import { useWorkshop } from '../../session/workshop';
import { Link } from 'react-router';
import { Button } from '../../ui/Button';
import { DozensField } from '../../ui/DozensField';
import { MoneyField } from '../../ui/MoneyField';
import { Select } from '../../ui/Select';
import { countWords } from '../../words/stock';
import { linePaid, type SectionProps } from './sectionProps';

/** What a line is of: a product, or a piece of the table. */
const PRODUCT = 'product.';
const PIECE = 'piece.';

const Line = (props: SectionProps & { readonly line: OrderLine }) => {
  const { order, line, change, schedule } = props;
  const { book, lines } = schedule;
  const money = useMoney();
  const addPiece = useAddPiece();
  const { failed } = useNotify();
  const { chance, nowIso } = useWorkshop();
  const product = book.products.find(p => p.id === line.productId);
  const piece = book.pieces.find(p => p.id === line.pieceId);
  const model = book.pieces.find(p => p.id === product?.pieceId);
  const work = lines.find(l => l.line.id === line.id && l.orderId === order.id);
  const handed = line.productId === null ? 0 : deliveredOf(book.stock, order.id, line.productId);
  const set = (more: Partial<OrderLine>, label = 'what is promised'): void =>
    change(o => ({ ...o, lines: o.lines.map(l => (l.id === line.id ? { ...l, ...more } : l)) }), label);
  const paid = linePaid(line, line.count, book.products);
  const onTable = book.pieces.filter(
    p => p.deletedAt === null && (p.result.finishedAt === null || p.id === line.pieceId),
  );
  const putOnTable = (): void => {
    if (!model || !work) return;
    const name = `${product?.name ?? model.name}, for ${order.name}`.slice(0, 200);
    const again = pieceAgain(model, { id: chance.newId(), now: nowIso(), name });
    const made = { ...again, plan: { ...again.plan, pieces: work.toMake } };
    addPiece(made)
      .then(() => set({ pieceId: made.id }, 'put on the table'))
      .catch(failed);
  };
  const state = [
    handed > 0 && `${handed} handed over`,
    work && `${countWords(work.toMake, line.inDozens)} to make`,
    work?.isOpen &&
      (product ? 'Jorrit cannot tell how it is made: choose its piece under Stock' : 'choose what it is'),
  ].filter(Boolean);
  return (
    <li className="border-b border-rim py-2">
      <div className="flex flex-wrap items-end gap-3">
        <DozensField
          count={line.count}
          inDozens={line.inDozens}
          least={1}
          onCount={count => set({ count })}
          onInDozens={inDozens => set({ inDozens })}
        />
        <Select
          className="min-w-52 flex-1"
          label="Of what"
          value={
            line.productId === null
              ? line.pieceId === null
                ? ''
                : `${PIECE}${line.pieceId}`
              : `${PRODUCT}${line.productId}`
          }
          options={[
            { value: '', text: 'not chosen yet' },
            ...book.products.map(p => ({ value: `${PRODUCT}${p.id}`, text: p.name })),
            ...onTable.map(p => ({ value: `${PIECE}${p.id}`, text: `${p.name} (on the table)` })),
          ]}
          onPick={v =>
            set({
              productId: v.startsWith(PRODUCT) ? v.slice(PRODUCT.length) : null,
              pieceId: v.startsWith(PIECE) ? v.slice(PIECE.length) : null,
            })
          }
        />
        {order.sort !== 'gift' && (
          <MoneyField
            label="Own price of one"
            minor={line.price}
            places={money.places}
            code={money.code}
            onMinor={price => set({ price }, 'price')}
          />
        )}
      </div>
      <div className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1">
        <span>{state.join(', ')}</span>
        {piece ? (
          <Link to={`/pieces/${piece.id}/bench`} className="underline underline-offset-2">
            {piece.result.finishedAt === null ? 'It is on the table' : 'It is finished'}
          </Link>
        ) : (
          model &&
          work &&
          work.toMake > 0 &&
          planOf(model.plan).ok && <Button onClick={putOnTable}>Put {work.toMake} on the table</Button>
        )}
        <span className="ml-auto tabular-nums">
          {order.sort !== 'gift' && paid !== null && money.show(paid)}
        </span>
        <Button
          look="bare"
          aria-label={`Remove ${product?.name ?? piece?.name ?? 'this line'}`}
          onClick={() =>
            change(o => ({ ...o, lines: o.lines.filter(l => l.id !== line.id) }), 'remove a line')
          }
        >
          Remove
        </Button>
      </div>
    </li>
  );
};

/** What is promised: so many of a product, or a piece of the table. */
export const OrderLines = (props: SectionProps) => {
  const { order, change, schedule } = props;
  const { chance, nowIso } = useWorkshop();
  const addProduct = useAdd(productKind);
  const { failed } = useNotify();
  const products = useLive(productKind) ?? [];
  const addLine = (productId: string | null): void =>
    change(o => ({ ...o, lines: [...o.lines, newLine({ id: chance.newId(), productId })] }), 'add a line');
  const newFromPiece = (pieceId: string): void => {
    const piece = schedule.book.pieces.find(p => p.id === pieceId);
    if (!piece) return;
    const product = newProduct({ id: chance.newId(), name: piece.name, now: nowIso(), pieceId });
    addProduct(product)
      .then(() => addLine(product.id))
      .catch(failed);
  };
  const known = new Set(products.map(p => p.pieceId));
  const pieces = schedule.book.pieces.filter(p => p.deletedAt === null && !known.has(p.id));
  return (
    <section aria-labelledby="lines">
      <h2 id="lines" className="border-b border-ink text-lg font-semibold">
        What is promised
      </h2>
      <ul>
        {order.lines.map(line => (
          <Line key={line.id} {...props} line={line} />
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <Button onClick={() => addLine(null)}>Add a line</Button>
        <Select
          label="More like a piece you have"
          value=""
          options={[
            { value: '', text: 'choose a piece …' },
            ...pieces.map(p => ({ value: p.id, text: p.name })),
          ]}
          onPick={newFromPiece}
        />
      </div>
    </section>
  );
};
