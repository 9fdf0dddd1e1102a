import type { jsPDF } from 'jspdf';
import QRCode from 'qrcode';
import { LINE_LOOK } from '../drawing/lineLook';
import { drawPoints } from '../drawing/pathSink';
import type { Scene } from '../drawing/scene';
import { pdfDocument, POINTS_PER_MM } from './pdfDocument';
import { CARD_LETTERS } from './recipeText';

/** Paper of a card, mm, portrait. ISO 216, and 8.5 × 11 in. */
export const CARD_PAPERS = {
  a5: { name: 'A5', width: 148, height: 210 },
  a4: { name: 'A4', width: 210, height: 297 },
  letter: { name: 'Letter', width: 215.9, height: 279.4 },
} as const;
export type CardPaper = keyof typeof CARD_PAPERS;

/** What stands on a card, in words and lines. */
export interface CardPage {
  readonly title: string;
  /** Form, sizes, wool in one line each. */
  readonly facts: readonly string[];
  /** The piece as laid and as wanted, with its measuring lines; mm on the table. */
  readonly scene: Scene;
  readonly sections: ReadonlyArray<{ readonly heading: string; readonly lines: readonly string[] }>;
  /** The recipe itself as the letters of a code. */
  readonly code: string;
}

const MARGIN = 9;
/** Half the width of an A5 card: a phone reads it from a hand's breadth. */
const CODE_MM = 62;
const DRAWING_MM = 58;
/** White round a code, modules. Source: ISO/IEC 18004. */
const QUIET = 4;
const TITLE_MM = 5.2;
const TEXT_MM = 2.9;
const LEADING = 1.4;

/** Whether the recipe fits the code of a card. */
export const fitsCode = (code: string): boolean => code.length <= CARD_LETTERS;

/** Draws a code: dark runs as rectangles, at its left top corner. */
const drawCode = (doc: jsPDF, text: string, at: { readonly x: number; readonly y: number }): void => {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const cell = CODE_MM / (modules.size + 2 * QUIET);
  doc.setFillColor('#000000');
  for (let row = 0; row < modules.size; row += 1)
    for (let begin = 0; begin < modules.size;) {
      let end = begin;
      while (end < modules.size && modules.get(row, end)) end += 1;
      if (end > begin)
        // A hair's breadth of overlap: no white line between rows.
        doc.rect(
          at.x + (QUIET + begin) * cell,
          at.y + (QUIET + row) * cell,
          (end - begin) * cell,
          cell * 1.02,
          'F',
        );
      begin = end + 1;
    }
};

/** Draws the piece to fit its place, with the letters of its lines. */
const drawPiece = (
  doc: jsPDF,
  { shapes, marks, box }: Scene,
  at: { readonly x: number; readonly y: number },
): void => {
  const scale = DRAWING_MM / Math.max(box.maxX - box.minX, box.maxY - box.minY);
  const x = (mm: number): number => at.x + (mm - box.minX) * scale;
  const y = (mm: number): number => at.y + (mm - box.minY) * scale;
  for (const shape of shapes) {
    const look = LINE_LOOK[shape.role];
    doc.setDrawColor(look.ink);
    doc.setLineWidth(Math.min(0.4, look.weightMm));
    doc.setLineDashPattern(
      look.dashMm.map(d => d / 2),
      0,
    );
    drawPoints(
      {
        moveTo: (px, py) => doc.moveTo(x(px), y(py)),
        lineTo: (px, py) => doc.lineTo(x(px), y(py)),
        closePath: () => doc.close(),
      },
      shape.points,
      shape.closed,
    );
    doc.stroke();
  }
  doc.setLineDashPattern([], 0);
  doc.setFontSize(TEXT_MM * POINTS_PER_MM);
  for (const { gauge, from, to } of marks)
    doc.text(gauge.id, x(from.x + (to.x - from.x) * 0.22) + 0.6, y(from.y + (to.y - from.y) * 0.22) - 0.6);
};

/**
 * A recipe card as a PDF: drawing with measures, wool, steps, cautions, notes, and the code that holds the recipe itself, where it fits.
 * @param of.copies how many, one after the other  @param of.fontBase64 a TrueType font
 */
export const recipeCardPdf = (
  page: CardPage,
  of: { readonly paper: CardPaper; readonly copies: number; readonly fontBase64: string },
): ArrayBuffer => {
  const { width, height } = CARD_PAPERS[of.paper];
  const format: [number, number] = [width, height];
  const doc = pdfDocument({ format, orientation: 'portrait', fontBase64: of.fontBase64, title: page.title });
  const isWide = width > 180;
  for (let copy = 0; copy < of.copies; copy += 1) {
    if (copy > 0) doc.addPage(format, 'portrait');
    let y = MARGIN + TITLE_MM;
    const write = (text: string, sizeMm: number, room: number): void => {
      doc.setFontSize(sizeMm * POINTS_PER_MM);
      const split: unknown = doc.splitTextToSize(text, room);
      for (const row of Array.isArray(split) ? split.map(String) : [text]) {
        if (y > height - MARGIN) {
          doc.addPage(format, 'portrait');
          y = MARGIN + TEXT_MM;
        }
        doc.text(row, MARGIN, y);
        y += sizeMm * LEADING;
      }
    };
    write(page.title, TITLE_MM, width - 2 * MARGIN);
    for (const fact of page.facts) write(fact, TEXT_MM, width - 2 * MARGIN);
    y += 2;
    drawPiece(doc, page.scene, { x: MARGIN, y });
    if (fitsCode(page.code)) drawCode(doc, page.code, { x: width - MARGIN - CODE_MM, y: y - 2 });
    else {
      doc.setFontSize(TEXT_MM * POINTS_PER_MM);
      doc.text('This recipe is too long for a code.', width - MARGIN - CODE_MM, y + 4);
      doc.text('Pass on its file beside the card.', width - MARGIN - CODE_MM, y + 8);
    }
    y += Math.max(DRAWING_MM, CODE_MM) + 3;
    for (const { heading, lines } of page.sections) {
      y += 1.2;
      // A heading never stands alone at the foot.
      if (y > height - MARGIN - 3 * TEXT_MM * LEADING) {
        doc.addPage(format, 'portrait');
        y = MARGIN + TEXT_MM;
      }
      write(heading, TEXT_MM * 1.25, width - 2 * MARGIN);
      for (const line of lines) write(line, isWide ? TEXT_MM * 1.15 : TEXT_MM, width - 2 * MARGIN);
    }
  }
  return doc.output('arraybuffer');
};
