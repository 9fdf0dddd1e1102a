import type { jsPDF } from 'jspdf';
import { pdfDocument, POINTS_PER_MM } from './pdfDocument';

/** What stands on one label. */
export interface Label {
  /** The figure that matters: grams, as the scale reads them. */
  readonly grams: string;
  /** Lines under it: which face and layer, which wool, which piece. */
  readonly lines: readonly string[];
  /** Colour of the wool, `#rrggbb`. */
  readonly colour: string;
}

/** A4, three labels across and eight down, cut apart on their lines; a margin that every printer leaves. */
const PAGE = { width: 210, height: 297, margin: 9 } as const;
const COLUMNS = 3;
const ROWS = 8;
const LABEL = {
  width: (PAGE.width - 2 * PAGE.margin) / COLUMNS,
  height: (PAGE.height - 2 * PAGE.margin) / ROWS,
} as const;
const LINE_MM = 4;

/** Where a label stands on its page: top left corner, mm. */
const labelAt = (i: number): { readonly page: number; readonly x: number; readonly y: number } => {
  const on = i % (COLUMNS * ROWS);
  return {
    page: Math.floor(i / (COLUMNS * ROWS)),
    x: PAGE.margin + (on % COLUMNS) * LABEL.width,
    y: PAGE.margin + Math.floor(on / COLUMNS) * LABEL.height,
  };
};

const draw = (doc: jsPDF, label: Label, at: { readonly x: number; readonly y: number }): void => {
  doc.setDrawColor('#b9c2c7');
  doc.setLineWidth(0.15);
  doc.rect(at.x, at.y, LABEL.width, LABEL.height, 'S');
  doc.setDrawColor('#14202a');
  doc.setFillColor(label.colour);
  doc.circle(at.x + 8, at.y + 10, 4, 'FD');
  doc.setFontSize(8 * POINTS_PER_MM);
  doc.text(label.grams, at.x + 15, at.y + 12.5);
  doc.setFontSize(3.2 * POINTS_PER_MM);
  label.lines.forEach((line, i) => {
    const rows: unknown = doc.splitTextToSize(line, LABEL.width - 8);
    const fits: unknown = Array.isArray(rows) ? rows[0] : line;
    doc.text(String(fits), at.x + 4, at.y + 19.5 + i * LINE_MM);
  });
};

/**
 * Labels for weighed piles, to be cut apart, as a PDF on A4.
 * @param fontBase64 a TrueType font, for names in any script the font holds
 */
export const labelsPdf = (labels: readonly Label[], title: string, fontBase64: string): ArrayBuffer => {
  const doc = pdfDocument({ format: 'a4', orientation: 'portrait', fontBase64, title });
  labels.forEach((label, i) => {
    const at = labelAt(i);
    if (at.page > 0 && i % (COLUMNS * ROWS) === 0) doc.addPage('a4', 'portrait');
    draw(doc, label, at);
  });
  return doc.output('arraybuffer');
};
