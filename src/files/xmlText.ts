/** What no XML may hold: control characters but tab and line ends, halves of surrogate pairs, and two that are no characters. */
const FORBIDDEN = /[^\t\n\r\u{20}-\u{D7FF}\u{E000}-\u{FFFD}\u{10000}-\u{10FFFF}]/gu;

/**
 * Text as XML may hold it, between tags or in an attribute.
 * Source: XML 1.0, fifth edition, §2.2 and §2.4.
 * @example xmlText('a < b\u0000') // 'a &lt; b'
 */
export const xmlText = (text: string): string =>
  text
    .replaceAll(FORBIDDEN, '')
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;')
    .replaceAll('\r', '&#13;');
