import { z } from 'zod';
import { IsoTime } from '../records/common';
import type { Notes } from './notes';

const KEY = 'jorrit.workshop';

const MarkerSchema = z.object({
  /** Name of the workshop that the browser's database should hold. */
  id: z.string().min(1).max(64),
  /** Whether anything of the felter's own was ever kept in it, and when last. */
  ownAt: IsoTime.nullable(),
  /** When its database was found gone; null once that has been dealt with. */
  lostAt: IsoTime.nullable(),
});

/** What is remembered of a workshop outside its database, so that a database that was cleared is noticed. */
export type Marker = z.infer<typeof MarkerSchema>;

/** The marker; null where there is none, or it is damaged. */
export const readMarker = (notes: Notes): Marker | null => {
  try {
    return MarkerSchema.safeParse(JSON.parse(notes.get(KEY) ?? 'null')).data ?? null;
  } catch {
    return null;
  }
};

export const writeMarker = (notes: Notes, marker: Marker): void =>
  void notes.set(KEY, JSON.stringify(marker));

/** How a store that was opened stands to what is remembered of it. */
export type Found =
  /** The workshop that was here before, or one from before there were markers. */
  | 'known'
  /** Nothing was here before. */
  | 'new'
  /** Something of the felter's own was here, and the database is empty now. */
  | 'lost';

/**
 * @param of.isEmpty whether the database holds no records  @param of.hasMeta whether it was marked before
 */
export const foundBy = (
  marker: Marker | null,
  of: { readonly isEmpty: boolean; readonly hasMeta: boolean },
): Found => {
  if (of.hasMeta || !of.isEmpty) return 'known';
  return marker !== null && marker.ownAt !== null ? 'lost' : 'new';
};
