/** Flat things of a known size that are laid beside a piece. */
export const REFERENCE_KINDS = ['card', 'a4', 'letter'] as const;
export type ReferenceKind = (typeof REFERENCE_KINDS)[number];

/** What it is, mm. */
export interface ReferenceSize {
  readonly long: number;
  readonly short: number;
  /** Radius of its corners. */
  readonly corner: number;
  readonly thick: number;
}

/** Sources: ISO/IEC 7810 ID-1, ISO 216 A4 and ANSI/ASME Y14.1 Letter (from memory); a sheet’s thickness is common practice. */
export const REFERENCES: Readonly<Record<ReferenceKind, ReferenceSize>> = {
  card: { long: 85.6, short: 53.98, corner: 3.18, thick: 0.76 },
  a4: { long: 297, short: 210, corner: 0, thick: 0.1 },
  letter: { long: 279.4, short: 215.9, corner: 0, thick: 0.1 },
};
