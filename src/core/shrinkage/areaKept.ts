import type { AxisShrinkage } from '../quantity';

/**
 * Share of the laid area that is left: (1−sx)(1−sy).
 * @returns dimensionless, in (0, 1]. Source: product of the two lengths.
 * @example areaKept({ along: shrinkage(0.5), across: shrinkage(0.5) }) // 0.25
 */
export const areaKept = ({ along, across }: AxisShrinkage): number => (1 - along) * (1 - across);
