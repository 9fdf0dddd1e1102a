import type { Tables } from './backend';
import { SUMMARIES_TABLE } from './tables';

/** What was made of a piece or its log holds no longer: to be called wherever one of the two is written, in the same transaction. */
export const dropSummary = (tables: Tables, pieceId: string): Promise<void> =>
  tables.remove(SUMMARIES_TABLE, pieceId);
