import type { CostLine } from '../core/cost/costOf';
import { lengthWords } from './schedule';

/** What a line of a cost is called. @param nameOf what a wool or a part is called */
export const costLineWords = (
  line: CostLine,
  of: { readonly nameOf: (id: string) => string; readonly mass: (grams: number) => string },
): string => {
  switch (line.is) {
    case 'wool':
      return `${of.mass(line.amount)} ${of.nameOf(line.id ?? '')}`;
    case 'part':
      return `${line.amount} × ${of.nameOf(line.id ?? '')}`;
    case 'soap':
      return `soap and water, ${line.amount} ${line.amount === 1 ? 'sitting' : 'sittings'}`;
    case 'hands':
      return `hands, ${lengthWords(line.amount)}`;
    case 'overhead':
      return `overhead, ${line.amount / 100} %`;
  }
};
