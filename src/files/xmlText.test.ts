import fc from 'fast-check';
import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { describe, expect, it } from 'vitest';
import { xmlText } from './xmlText';

/** What XML 1.0 calls no character (§2.2): controls but tab and line ends, halves of pairs, and two at the end of the plane. */
const isCharacter = (c: string): boolean => {
  const code = c.codePointAt(0) ?? 0;
  if (code < 0x20) return code === 9 || code === 10 || code === 13;
  return !(code >= 0xd800 && code <= 0xdfff) && code !== 0xfffe && code !== 0xffff;
};

const characters = (text: string): readonly string[] => Array.from(text, c => c);

describe('text in XML', () => {
  it('is well-formed whatever is in it, and reads back but for what no XML may hold', () => {
    const parser = new XMLParser({ ignoreAttributes: false, trimValues: false, parseTagValue: false });
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 40 }), text => {
        const xml = `<t>x${xmlText(text)}</t>`;
        expect(XMLValidator.validate(xml)).toBe(true);
        expect(characters(xml).every(isCharacter)).toBe(true);
        const read: unknown = parser.parse(xml);
        // A carriage return is written as a number, which this reader leaves as it is.
        const plain = characters(text).filter(isCharacter).join('').replaceAll('\r', '&#13;');
        expect(read).toEqual({ t: `x${plain}` });
      }),
    );
    expect(xmlText('a < b\u0000 & "c" \uD800>')).toBe('a &lt; b &amp; &quot;c&quot; &gt;');
  });
});
