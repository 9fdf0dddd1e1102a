import { z } from 'zod';

/** A name that never changes and is safe in an address. */
export const Id = z.string().regex(/^[A-Za-z0-9_-]{1,64}$/);
export const IsoTime = z.iso.datetime({ offset: true });
export const Positive = z.number().positive().max(1e9);
export const NotNegative = z.number().min(0).max(1e9);
/** A reading that was not taken is null, never 0. */
export const Reading = Positive.nullable();

/** What every kept record carries. `revision` counts its changes, so that an older copy never replaces a newer. */
export const kept = {
  id: Id,
  createdAt: IsoTime,
  updatedAt: IsoTime,
  revision: z.number().int().min(1),
  /** Set when it was deleted: it is out of sight and can be brought back. */
  deletedAt: IsoTime.nullable(),
  /** True for the sample workshop, which is cleared in one act. */
  sample: z.boolean(),
};
