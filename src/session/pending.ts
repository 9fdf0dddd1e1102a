/**
 * Records with a change on its way to the store. What a read finds of them meanwhile may be older than what stands on
 * the screen, and must not replace it. Session state.
 */
const counts = new Map<string, number>();

export const isPending = (id: string): boolean => counts.has(id);

/** Notes that a write of a record has begun; returns what to call when it settled, which tells whether it was the last. */
export const beginWrite = (id: string): (() => boolean) => {
  counts.set(id, (counts.get(id) ?? 0) + 1);
  return () => {
    const left = (counts.get(id) ?? 1) - 1;
    if (left > 0) counts.set(id, left);
    else counts.delete(id);
    return left === 0;
  };
};

/** Records as they were read, but for those that are being changed: these stay as the screen has them. */
export const withoutStale = <T extends { readonly id: string }>(
  read: readonly T[],
  shown: readonly T[] | undefined,
): readonly T[] => read.map(r => (isPending(r.id) ? (shown?.find(s => s.id === r.id) ?? r) : r));
