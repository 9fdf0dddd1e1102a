import { z } from 'zod';
import { defineAct } from './actSpec';

/** SHA-256 of a kept file, lower-case hex. */
const Hash = z.string().regex(/^[0-9a-f]{64}$/);
const Pixels = z.number().int().min(1).max(20_000);

/** A picture of the piece as it is now. Its bytes are kept by their hash, large and small. */
export const picture = defineAct(
  z.object({ kind: z.literal('picture'), hash: Hash, small: Hash, widthPx: Pixels, heightPx: Pixels }),
)({
  place: 'bench',
  words: () => 'Picture taken',
  attachments: ({ hash, small }) => [hash, small],
});
