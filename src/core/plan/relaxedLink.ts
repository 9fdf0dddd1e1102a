import type { ChainQuantity } from '../chain/quantities';
import type { PlanInput } from './planInput';

/** What a maker wishes for, and does not expect to move when something else is typed. */
const WISHES: readonly ChainQuantity[] = ['size', 'laidSize', 'shrinkage', 'firmness', 'layers'];

/** The wish that was held lightly before a change and is no longer held after it; null where none had to give way. */
export const relaxedLink = (before: PlanInput, after: PlanInput): ChainQuantity | null =>
  WISHES.find(
    link => before.given.includes(link) && !after.given.includes(link) && !after.pinned.includes(link),
  ) ?? null;
