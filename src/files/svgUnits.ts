/** One CSS pixel is 1/96 in (CSS Values and Units Level 3, from memory). */
export const MM_PER_PX = 25.4 / 96;

const MM_PER: Readonly<Record<string, number>> = {
  '': MM_PER_PX,
  px: MM_PER_PX,
  mm: 1,
  cm: 10,
  q: 0.25,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
};

/** A length of an SVG attribute in mm; null where it is left out, relative (%, em, ex) or not a length. */
export const svgLengthMm = (text: string | undefined): number | null => {
  const match = /^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)\s*([a-z%]*)\s*$/i.exec(text ?? '');
  const unit = MM_PER[(match?.[2] ?? '').toLowerCase()];
  const value = Number(match?.[1]);
  return match && unit !== undefined && Number.isFinite(value) ? value * unit : null;
};

/** A length of an SVG attribute in user units (px); `otherwise` where it cannot be read. */
export const svgLengthPx = (text: string | undefined, otherwise = 0): number => {
  const mm = svgLengthMm(text);
  return mm === null ? otherwise : mm / MM_PER_PX;
};
