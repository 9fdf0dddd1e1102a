import type { CostLine } from '../core/cost/costOf';
import { showQuantity } from '../core/units/units';
import { costLineWords } from '../words/costs';
import { usePrices } from './usePrices';
import { useSettings } from './useRecords';

/** What a line of a cost is called, with the maker's own wools and parts. */
export const useCostWords = (): ((line: CostLine) => string) => {
  const { wools, parts } = usePrices();
  const { units } = useSettings();
  return line =>
    costLineWords(line, {
      nameOf: id => [...wools, ...parts].find(r => r.id === id)?.name ?? 'something that is gone',
      mass: g => showQuantity(g, 'mass', units),
    });
};
