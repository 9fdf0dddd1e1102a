import { lengthSpec, type MeasureSpec } from './formKind';

/** An open edge that is folded in. It is measured as laid and does not grow with the piece. */
export const hemSpec = (): MeasureSpec =>
  lengthSpec('hem', 'Folded-in edge', { hint: 'as laid, 0 for none', min: 0, max: 100, scales: false });
