import { z } from 'zod';
import { LIMITS, type Limit } from '../core/limits';

/** A name that never changes and is safe in an address. */
export const Id = z.string().regex(/^[A-Za-z0-9_-]{1,64}$/);
/** Name of an attachment: SHA-256 of its bytes, lower-case hex. */
export const Hash = z.string().regex(/^[0-9a-f]{64}$/);
export const IsoTime = z.iso.datetime({ offset: true });
/** A figure within its limits. */
export const figure = ({ least, most }: Limit) => z.number().min(least).max(most);
/** A count within its limits. */
export const count = ({ least, most }: Limit) => z.number().int().min(least).max(most);

/** What every kept record carries. `revision` counts its changes, so that an older copy never replaces a newer. */
export const kept = {
  id: Id,
  createdAt: IsoTime,
  updatedAt: IsoTime,
  revision: count(LIMITS.revision),
  /** Set when it was deleted: it is in the bin and can be brought back. */
  deletedAt: IsoTime.nullable(),
  /** True for the sample workshop, which is cleared in one act. */
  sample: z.boolean(),
};

/** What every kept record carries, as the store and the files see it. */
export interface StoredRecord {
  readonly kind: string;
  readonly version: number;
  readonly id: string;
  readonly createdAt: string;
  readonly updatedAt: string;
  readonly revision: number;
  readonly deletedAt: string | null;
  readonly sample: boolean;
}

/** The bookkeeping of a new record. */
export const fresh = (id: string, now: string) => ({
  id,
  createdAt: now,
  updatedAt: now,
  revision: 1,
  deletedAt: null,
  sample: false,
});
