/** Where a workshop takes chance from: fresh names, and seeds of simulations. A rehearsal has one of its own. */
export interface Chance {
  /** A fresh name for a record, a tab or an entry. */
  readonly newId: () => string;
  /** A whole number, 0 to 2³² − 1. */
  readonly seed: () => number;
}

const hex = (bytes: Uint8Array): string => [...bytes].map(b => b.toString(16).padStart(2, '0')).join('');

/** Chance of the browser itself. Its ready-made UUIDs are withheld on a plain address; its random bytes are not. */
export const systemChance: Chance = {
  newId: () => {
    const bytes = crypto.getRandomValues(new Uint8Array(16));
    // Version 4, variant 1. Source: RFC 9562 §5.4.
    bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
    bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
    const all = hex(bytes);
    return [all.slice(0, 8), all.slice(8, 12), all.slice(12, 16), all.slice(16, 20), all.slice(20)].join('-');
  },
  seed: () => crypto.getRandomValues(new Uint32Array(1))[0] ?? 0,
};
