import type { Minor } from '../../core/money/exact';
import { soldFor } from '../../core/stock/ledger';
import type { Order, OrderLine } from '../../records/order';
import type { Product } from '../../records/product';
import type { useSchedule } from '../../session/useOpenWork';

/** What every section of an order stands on. */
export interface SectionProps {
  readonly order: Order;
  readonly change: (change: (order: Order) => Order, label: string) => void;
  readonly schedule: ReturnType<typeof useSchedule>;
}

/** What so many of a line are sold for: at its own price of one, else at the product's; null without a price. */
export const linePaid = (line: OrderLine, count: number, products: readonly Product[]): Minor | null => {
  if (line.price !== null) return line.price * count;
  const product = products.find(p => p.id === line.productId);
  return product ? soldFor(product, count) : null;
};
