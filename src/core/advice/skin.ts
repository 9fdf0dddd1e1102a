import type { BenchState } from '../log/benchState';

/** Grades from which the skin holds: it lifts as one; hairs do not move; hairs have come through cloth. Common practice. */
const SKIN = { pinch: 2, finger: 1, cloth: 1 } as const;

/** Whether the skin holds, as the last test says that was done; any of them is enough. */
export const skinHolds = ({ pinch, tests }: Pick<BenchState, 'pinch' | 'tests'>): boolean =>
  (pinch ?? 0) >= SKIN.pinch || (tests.finger ?? 0) >= SKIN.finger || (tests.cloth ?? 0) >= SKIN.cloth;
