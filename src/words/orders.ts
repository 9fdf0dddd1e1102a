import type { OrderSort } from '../records/order';

/** What a promise is called: in a choice, in a list, and before it has a name of its own. */
export const ORDER_WORDS: Readonly<
  Record<OrderSort, { readonly choice: string; readonly one: string; readonly title: string }>
> = {
  order: { choice: 'an order', one: 'order', title: 'New order' },
  fair: { choice: 'a fair', one: 'fair', title: 'New fair' },
  gift: { choice: 'a gift, or a day of your own', one: 'gift', title: 'New gift' },
};

/** When it must be ready, as the schedule takes it. */
export const READY_BY_WORDS: Readonly<Record<OrderSort, string>> = {
  order: 'by six in the evening of its day',
  fair: 'by eight in the morning of its day',
  gift: 'by eight in the morning of its day',
};
