import type { jsPDF } from 'jspdf';
import { LINE_LOOK } from '../drawing/lineLook';
import { drawPoints } from '../drawing/pathSink';
import {
  marksOn,
  type Orientation,
  PAPERS,
  type PaperName,
  planSheets,
  type Sheet,
  type SheetPlan,
} from '../drawing/sheets';
import type { Template } from '../drawing/template';
import { pdfDocument, POINTS_PER_MM } from './pdfDocument';

const CHECK_MM = 100;

interface Page {
  readonly doc: jsPDF;
  readonly plan: SheetPlan;
  readonly sheet: Sheet;
  readonly template: Template;
}

const words = ({ doc }: Page, text: string, at: { x: number; y: number; sizeMm: number }): void => {
  doc.setFontSize(at.sizeMm * POINTS_PER_MM);
  doc.text(text, at.x, at.y);
};

/** Draws what of the template falls on this sheet, clipped to its window. */
const drawing = (page: Page): void => {
  const { doc, plan, sheet, template } = page;
  const { window: w } = sheet;
  const dx = plan.origin.x - w.minX;
  const dy = plan.origin.y - w.minY;
  doc.saveGraphicsState();
  doc.rect(plan.origin.x, plan.origin.y, w.maxX - w.minX, w.maxY - w.minY, null);
  doc.clip();
  doc.discardPath();
  for (const shape of template.shapes) {
    const look = LINE_LOOK[shape.role];
    doc.setDrawColor(look.ink);
    doc.setLineWidth(look.weightMm);
    doc.setLineDashPattern([...look.dashMm], 0);
    drawPoints(
      {
        moveTo: (x, y) => doc.moveTo(x + dx, y + dy),
        lineTo: (x, y) => doc.lineTo(x + dx, y + dy),
        closePath: () => doc.close(),
      },
      shape.points,
      shape.closed,
    );
    doc.stroke();
  }
  for (const w2 of template.words)
    words(page, w2.text, { x: w2.at.x + dx, y: w2.at.y + dy, sizeMm: w2.sizeMm });
  doc.restoreGraphicsState();
};

/** Edge of the drawn area, joining crosses with their numbers. */
const joining = (page: Page): void => {
  const { doc, plan, sheet } = page;
  const { window: w } = sheet;
  doc.setDrawColor('#8a949a');
  doc.setLineWidth(0.15);
  doc.setLineDashPattern([1, 1], 0);
  doc.rect(plan.origin.x, plan.origin.y, w.maxX - w.minX, w.maxY - w.minY, 'S');
  doc.setLineDashPattern([], 0);
  doc.setDrawColor('#000000');
  doc.setLineWidth(0.25);
  for (const { at, name } of marksOn(sheet, plan.marks)) {
    const x = at.x - w.minX + plan.origin.x;
    const y = at.y - w.minY + plan.origin.y;
    doc.line(x - 4, y, x + 4, y);
    doc.line(x, y - 4, x, y + 4);
    words(page, name, { x: x + 1, y: y - 1, sizeMm: 3 });
  }
};

/** The foot: check ruler, sheet number, where it belongs, piece. */
const foot = (page: Page): void => {
  const { doc, plan, sheet, template } = page;
  const y = plan.pageMm.height - 20;
  const x = plan.origin.x;
  doc.setDrawColor('#000000');
  doc.setLineWidth(0.3);
  doc.line(x, y, x + CHECK_MM, y);
  for (let i = 0; i <= 10; i += 1) doc.line(x + i * 10, y - (i % 5 === 0 ? 3 : 1.5), x + i * 10, y);
  words(page, 'This line is 100 mm long. If not, print again at 100 %.', { x, y: y + 3.5, sizeMm: 2.6 });
  words(page, `${template.title} · ${PAPERS[plan.paper].name}`, {
    x: x + CHECK_MM + 6,
    y: y + 3.5,
    sizeMm: 2.6,
  });
  words(page, `Sheet ${sheet.name} of ${plan.rows} × ${plan.columns}`, {
    x: x + CHECK_MM + 6,
    y: y - 0.5,
    sizeMm: 4.5,
  });
  template.notes.forEach((note, i) => words(page, note, { x, y: y + 6.8 + i * 3.1, sizeMm: 2.5 }));
};

/**
 * The template as a PDF at true scale over as many sheets as it takes.
 * @param fontBase64 a TrueType font, for names in any script the font holds
 * @param onSheet told after each sheet how many are done
 */
export const templatePdf = (
  template: Template,
  options: {
    readonly paper: PaperName;
    readonly orientation: Orientation;
    readonly fontBase64: string;
    readonly onSheet?: (done: number, of: number) => void;
  },
): ArrayBuffer => {
  const plan = planSheets(template.box, options.paper, options.orientation);
  const format: [number, number] = [plan.pageMm.width, plan.pageMm.height];
  const orientation = plan.landscape ? 'landscape' : 'portrait';
  const doc = pdfDocument({ format, orientation, fontBase64: options.fontBase64, title: template.title });
  doc.viewerPreferences({ PrintScaling: 'None' });
  plan.sheets.forEach((sheet, i) => {
    if (i > 0) doc.addPage(format, orientation);
    const page: Page = { doc, plan, sheet, template };
    drawing(page);
    joining(page);
    foot(page);
    options.onSheet?.(i + 1, plan.sheets.length);
  });
  return doc.output('arraybuffer');
};
