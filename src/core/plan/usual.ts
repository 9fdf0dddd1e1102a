/** What a plan begins with until the felter or a wool says otherwise. All of it is common practice, no published source. */
export const USUAL = {
  /** A third, equal both ways. */
  shrinkage: 0.33,
  /** Wool past a closed edge, mm; 1–2.5 cm is common. */
  foldOverMm: 15,
  /** η, the share of the laid wool that stays after rinsing and shaving. */
  keptShare: 0.97,
  /** Wool kept aside for patches and decoration, as a share; 5–10 % is common. */
  reserveShare: 0.05,
  /** What a kitchen scale reads to, g. */
  scaleStepG: 1,
  /** What a small scale reads to, for beads and balls, g. */
  fineScaleStepG: 0.1,
} as const;
