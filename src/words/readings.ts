import type { ReadingQuestion } from '../core/advice/readingQuestion';
import type { Gauge } from '../core/forms/formKind';
import { showQuantity, type UnitSystem } from '../core/units/units';

/** What is asked of a reading that looks like a slip. */
export const questionWords = (question: ReadingQuestion, gauge: Gauge, units: UnitSystem): string => {
  switch (question.asks) {
    case 'longer-than-laid':
      return `${gauge.id} is longer than when it was laid (${showQuantity(gauge.laidMm, 'length', units)}). Measure once more?`;
    case 'grew':
      return `${gauge.id} grew by ${Math.round(question.by * 100)} %? Lay it flat without stretching, and measure once more?`;
    case 'far-below':
      return `${gauge.id} is less than half its target. Is that right?`;
  }
};
