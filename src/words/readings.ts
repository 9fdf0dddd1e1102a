import type { ReadingQuestion } from '../core/advice/readingQuestion';
import type { LineKind } from '../core/forms/fitSpec';
import type { Gauge } from '../core/forms/formKind';
import { showQuantity, type UnitSystem } from '../core/units/units';

/** How a line of each kind is measured. */
export const HOW_TO_MEASURE: Readonly<Record<LineKind, string>> = {
  felt: 'Lay it flat, without stretching.',
  hole: 'Let it lie or stand as it is, relaxed.',
  'drawn-over': 'Draw it over your fist as far as it gives easily.',
};

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
