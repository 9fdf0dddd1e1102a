import { useState } from 'react';
import { DOZEN, soldFor, STOCK_MOVES, type StockMove } from '../../core/stock/ledger';
import type { Order } from '../../records/order';
import type { Product } from '../../records/product';
import { useNotify } from '../../session/notices';
import { useLedger, useStock } from '../../session/useStock';
import { useSettings } from '../../session/useRecords';
import { useUndo } from '../../session/useUndo';
import { useMoney } from '../../session/useWorkplace';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { MoneyField } from '../../ui/MoneyField';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { Select } from '../../ui/Select';
import { countWords, MOVE_WORDS } from '../../words/stock';

/** Enters what was made, sold, given, spoilt or counted of one product. */
export const Enter = (props: { readonly product: Product; readonly orders: readonly Order[] }) => {
  const { product, orders } = props;
  const { units } = useSettings();
  const { states } = useStock();
  const { append } = useLedger();
  const { tell } = useNotify();
  const { undo } = useUndo();
  const money = useMoney();
  const [move, setMove] = useState<StockMove>('made');
  const [number, setNumber] = useState(1);
  const [inDozens, setInDozens] = useState(false);
  const [paid, setPaid] = useState<number | null | undefined>(undefined);
  const [orderId, setOrderId] = useState('');
  const count = Math.round(inDozens ? number * DOZEN : number);
  const onHand = states.get(product.id)?.onHand ?? 0;
  const sum = paid === undefined ? soldFor(product, count) : paid;
  const after = move === 'made' ? onHand + count : move === 'counted' ? count : onHand - count;
  const enter = (): void => {
    const isSold = move === 'sold';
    append(
      [
        {
          productId: product.id,
          move,
          count,
          paid: isSold ? sum : null,
          orderId: isSold && orderId !== '' ? orderId : null,
        },
      ],
      `${MOVE_WORDS[move].was} ${count} ${product.name}`,
    );
    tell({
      text: `${product.name}: ${countWords(count, inDozens)} ${MOVE_WORDS[move].was}, ${after} on hand.`,
      action: { label: 'Undo', run: undo },
    });
    setPaid(undefined);
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
        <NumberField
          className="w-24"
          label={inDozens ? 'Dozens' : 'How many'}
          shown={String(number)}
          read={reader('count', units, { min: 0, max: 100_000 })}
          onValue={v => setNumber(inDozens ? Math.round(v * DOZEN) / DOZEN : Math.round(v))}
        />
        <Select
          label="Told in"
          value={inDozens ? 'dozens' : 'singles'}
          options={[
            { value: 'singles', text: 'singles' },
            { value: 'dozens', text: 'dozens' },
          ]}
          onPick={v => setInDozens(v === 'dozens')}
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
