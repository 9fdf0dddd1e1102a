/** The 45 letters of a QR code's alphanumeric mode. Source: RFC 9285, table 1. */
const LETTERS = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ $%*+-./:';
const VALUE: ReadonlyMap<string, number> = new Map(Array.from(LETTERS, (letter, i) => [letter, i]));

/** Bytes as text of 45 letters. Source: RFC 9285, section 4. @example toBase45(new TextEncoder().encode('AB')) // 'BB8' */
export const toBase45 = (bytes: Uint8Array): string => {
  let text = '';
  for (let i = 0; i < bytes.length; i += 2) {
    const [a = 0, b] = [bytes[i], bytes[i + 1]];
    let n = b === undefined ? a : 256 * a + b;
    for (let k = b === undefined ? 2 : 3; k > 0; k -= 1) {
      text += LETTERS[n % 45] ?? '';
      n = Math.floor(n / 45);
    }
  }
  return text;
};

/** Text of 45 letters as bytes; null where it is none. Source: RFC 9285, section 4. */
export const fromBase45 = (text: string): Uint8Array<ArrayBuffer> | null => {
  if (text.length % 3 === 1) return null;
  const bytes: number[] = [];
  for (let i = 0; i < text.length; i += 3) {
    const part = Array.from(text.slice(i, i + 3), letter => VALUE.get(letter));
    const [a, b, c] = part;
    if (a === undefined || b === undefined || (part.length === 3 && c === undefined)) return null;
    const n = a + 45 * b + 2025 * (c ?? 0);
    if (n > (part.length === 3 ? 0xffff : 0xff)) return null;
    if (part.length === 3) bytes.push(n >> 8);
    bytes.push(n & 0xff);
  }
  return Uint8Array.from(bytes);
};
