interface Revised {
  readonly revision: number;
  readonly updatedAt: string;
}

/** A changed record with its revision counted on. The same object back means nothing changed. */
export const touched = <T extends Revised>(before: T, after: T, now: string): T =>
  after === before ? before : { ...after, revision: before.revision + 1, updatedAt: now };
