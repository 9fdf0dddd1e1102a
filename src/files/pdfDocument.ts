import { jsPDF } from 'jspdf';

const FONT = 'Atkinson';
/** Points of type in a millimetre. */
export const POINTS_PER_MM = 72 / 25.4;

/**
 * An empty PDF in millimetres with the shipped typeface, so that names in any script it holds are printed.
 * @param of.fontBase64 a TrueType font
 */
export const pdfDocument = (of: {
  readonly format: [number, number] | 'a4';
  readonly orientation: 'portrait' | 'landscape';
  readonly fontBase64: string;
  readonly title: string;
}): jsPDF => {
  const doc = new jsPDF({ unit: 'mm', format: of.format, orientation: of.orientation, compress: true });
  doc.addFileToVFS(`${FONT}.ttf`, of.fontBase64);
  doc.addFont(`${FONT}.ttf`, FONT, 'normal');
  doc.setFont(FONT, 'normal');
  doc.setProperties({ title: of.title });
  return doc;
};
