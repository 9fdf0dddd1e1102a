import type { FeltClass } from '../../records/feltClass';

/** Changes the class, with what undo calls it. */
export type Change = (change: (held: FeltClass) => FeltClass, label: string) => void;
