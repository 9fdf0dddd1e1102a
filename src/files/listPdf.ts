import { pdfDocument, POINTS_PER_MM } from './pdfDocument';

/** A heading with its lines. */
export interface ListSection {
  readonly heading: string;
  readonly lines: readonly string[];
}

const PAGE = { bottom: 280, left: 18, width: 174 } as const;
const TITLE_MM = 8;
const HEADING_MM = 5;
const LINE_MM = 4;
/** From one line to the next, of its height. */
const LEADING = 1.55;

/**
 * Lists to print and tick off, as a PDF on A4: a square before each line, as many pages as it takes.
 * @param fontBase64 a TrueType font
 */
export const listPdf = (title: string, sections: readonly ListSection[], fontBase64: string): ArrayBuffer => {
  const doc = pdfDocument({ format: 'a4', orientation: 'portrait', fontBase64, title });
  let y = 24;
  const write = (text: string, sizeMm: number, indent: number): void => {
    doc.setFontSize(sizeMm * POINTS_PER_MM);
    const split: unknown = doc.splitTextToSize(text, PAGE.width - indent);
    for (const row of Array.isArray(split) ? split.map(String) : [text]) {
      if (y > PAGE.bottom) {
        doc.addPage('a4', 'portrait');
        y = 24;
      }
      doc.text(row, PAGE.left + indent, y);
      y += sizeMm * LEADING;
    }
  };
  write(title, TITLE_MM, 0);
  for (const { heading, lines } of sections) {
    y += LINE_MM;
    write(heading, HEADING_MM, 0);
    for (const line of lines) {
      if (y <= PAGE.bottom) {
        doc.setLineWidth(0.25);
        doc.rect(PAGE.left, y - LINE_MM * 0.8, LINE_MM * 0.8, LINE_MM * 0.8, 'S');
      }
      write(line, LINE_MM, 7);
    }
  }
  return doc.output('arraybuffer');
};
