import { execFileSync } from 'node:child_process';

const MM_PER_PT = 25.4 / 72;

/** A line of a page, in mm from its top left corner. */
export interface Path {
  readonly points: ReadonlyArray<readonly [number, number]>;
  readonly closed: boolean;
}

/** Without these poppler fits a page to whole points, and nothing would be at true scale. */
const AS_IT_IS = ['-noshrink', '-nocenter', '-expand'];

/** The lines of one page of a PDF, as poppler reads them. */
export const pathsOf = (pdf: string, page: number): Path[] => {
  const sheet = ['-f', String(page), '-l', String(page)];
  const svg = execFileSync('pdftocairo', ['-svg', ...AS_IT_IS, ...sheet, pdf, '-'], {
    encoding: 'utf8',
    maxBuffer: 1e8,
  });
  return [...svg.matchAll(/<path[^>]*? d="([^"]+)"(?: transform="matrix\(([^)]+)\)")?/g)].map(
    ([, d = '', matrix]) => {
      const [a = 1, b = 0, c = 0, e = 1, tx = 0, ty = 0] = matrix?.split(',').map(Number) ?? [];
      const closed = d.includes('Z');
      const points = [...d.matchAll(/[ML] (-?[\d.]+) (-?[\d.]+)/g)].map(([, px, py]) => {
        const [x, y] = [Number(px), Number(py)];
        return [(a * x + c * y + tx) * MM_PER_PT, (b * x + e * y + ty) * MM_PER_PT] as const;
      });
      // After a close the pen is put down once more where the line began.
      return { points: closed ? points.slice(0, -1) : points, closed };
    },
  );
};
