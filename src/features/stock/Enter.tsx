import { useState } from 'react';
import { onHandAfter, soldFor, STOCK_MOVES, type StockMove } from '../../core/stock/ledger';
import type { Order } from '../../records/order';
import type { Product } from '../../records/product';
import { useNotify } from '../../session/notices';
import { useLedger, useStock } from '../../session/useStock';
import { useUndo } from '../../session/useUndo';
import { useMoney } from '../../session/useWorkplace';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { DozensField } from '../../ui/DozensField';
import { MoneyField } from '../../ui/MoneyField';
import { Select } from '../../ui/Select';
import { TextField } from '../../ui/TextField';
import { countWords, MOVE_WORDS } from '../../words/stock';

/** Enters what was made, sold, given, spoilt or counted of one product. */
export const Enter = (props: { readonly product: Product; readonly orders: readonly Order[] }) => {
  const { product, orders } = props;
  const { states } = useStock();
  const { append } = useLedger();
  const { tell } = useNotify();
  const { undo } = useUndo();
  const money = useMoney();
  const [move, setMove] = useState<StockMove>('made');
  const [count, setCount] = useState(1);
  const [inDozens, setInDozens] = useState(false);
  const [paid, setPaid] = useState<number | null | undefined>(undefined);
  const [orderId, setOrderId] = useState('');
  const [note, setNote] = useState('');
  const onHand = states.get(product.id)?.onHand ?? 0;
  const sum = paid === undefined ? soldFor(product, count) : paid;
  const after = onHandAfter(onHand, move, count);
  const enter = (): void => {
    const isSold = move === 'sold';
    void append(
      [
        {
          productId: product.id,
          move,
          count,
          paid: isSold ? sum : null,
          orderId: isSold && orderId !== '' ? orderId : null,
          note: note.trim().slice(0, 500),
        },
      ],
      `${MOVE_WORDS[move].was} ${count} ${product.name}`,
    );
    tell({
      text: `${product.name}: ${countWords(count, inDozens)} ${MOVE_WORDS[move].was}, ${after} on hand.`,
      action: { label: 'Undo', run: undo },
    });
    setPaid(undefined);
    setNote('');
  };
  return (
    <section aria-label="Enter in the ledger" className="flex flex-col gap-3">
      <Choice
        label="What happened"
        value={move}
        options={STOCK_MOVES.map(value => ({ value, text: MOVE_WORDS[value].act }))}
        onChoose={setMove}
      />
      <div className="flex flex-wrap items-end gap-3">
        <DozensField
          count={count}
          inDozens={inDozens}
          least={0}
          onCount={setCount}
          onInDozens={setInDozens}
        />
        {move === 'sold' && (
          <>
            <MoneyField
              label="Paid for all"
              minor={sum}
              places={money.places}
              code={money.code}
              onMinor={setPaid}
            />
            <Select
              label="For"
              value={orderId}
              options={[
                { value: '', text: 'nobody in particular' },
                ...orders.map(o => ({ value: o.id, text: o.name })),
              ]}
              onPick={setOrderId}
            />
          </>
        )}
        <TextField className="w-44" label="Note" value={note} onText={setNote} />
        <Button look="main" onClick={enter}>
          Enter
        </Button>
      </div>
      {after < 0 && (
        <p role="status" className="text-wanted">
          Only {Math.max(0, onHand)} {onHand === 1 ? 'is' : 'are'} on hand by the ledger. You may enter it all
          the same; count what is there when you can.
        </p>
      )}
    </section>
  );
};
