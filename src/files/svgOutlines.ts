import svgpath from 'svgpath';
import { type Issue, issue } from '../core/issues';
import { issueText } from '../words/issues';
import { cleanOutline } from '../core/outline/cleanOutline';
import { flattenCubic } from '../core/outline/curve';
import { type Point, type Polygon, polygonArea } from '../core/outline/polygon';
import { simplify } from '../core/outline/simplify';
import { err, ok, type Result } from '../core/result';
import { MOST_DRAWN_POINTS } from '../core/tolerances';
import { readSvgTree, type SvgPath } from './svgTree';

/** A closed outline found in a file, mm. */
export interface FoundOutline {
  readonly name: string;
  readonly points: Polygon;
}

/** What a file holds: outlines, the largest first, and what was left out, in words. */
export interface SvgOutlines {
  readonly outlines: readonly FoundOutline[];
  readonly notices: readonly string[];
}

/** Ends nearer than this are taken to meet, mm. */
const MEET_MM = 1;
/** More outlines than these are not offered. */
const MOST_OFFERED = 20;

interface Subpath {
  readonly points: Point[];
  closed: boolean;
}

/** The rows of points of a path, curves drawn as straight pieces; mm. */
const subpathsOf = (path: SvgPath): Result<Subpath[]> => {
  const parsed = svgpath(path.d);
  const problem = 'err' in parsed && typeof parsed.err === 'string' ? parsed.err : '';
  if (problem !== '') return err(issue('SVG_UNREADABLE', path.place, { detail: `${problem}.` }));
  const subpaths: Subpath[] = [];
  const to = (x: number, y: number): void => {
    const last = subpaths.at(-1);
    // After a close the next line starts a new row where the last one began.
    if (last?.closed) subpaths.push({ points: [...last.points.slice(0, 1), { x, y }], closed: false });
    else last?.points.push({ x, y });
  };
  parsed
    .abs()
    .unshort()
    .transform(path.transform)
    .unarc()
    .iterate((...given) => {
      const [[command, ...v], , x, y] = given;
      const at = (i: number): number => v[i] ?? Number.NaN;
      const from = { x, y };
      if (command === 'M') subpaths.push({ points: [{ x: at(0), y: at(1) }], closed: false });
      else if (command === 'L') to(at(0), at(1));
      else if (command === 'H') to(at(0), y);
      else if (command === 'V') to(x, at(0));
      else if (command === 'C' || command === 'Q') {
        const end = command === 'C' ? { x: at(4), y: at(5) } : { x: at(2), y: at(3) };
        const [c1, c2] =
          command === 'C'
            ? [
                { x: at(0), y: at(1) },
                { x: at(2), y: at(3) },
              ]
            : [from, end].map(p => ({ x: p.x + (2 / 3) * (at(0) - p.x), y: p.y + (2 / 3) * (at(1) - p.y) }));
        for (const p of flattenCubic([from, c1 ?? from, c2 ?? end, end])) to(p.x, p.y);
      } else if (command === 'Z' || command === 'z') {
        const last = subpaths.at(-1);
        if (last) last.closed = true;
      }
    });
  return ok(subpaths);
};

const place = (p: Point | undefined): string =>
  p ? `from ${(p.x / 10).toFixed(1)}, ${(p.y / 10).toFixed(1)} cm` : '';

/** One row of points as an outline that can be edited; the issue with its place where it is none. */
const outlineOfRow = (row: Subpath, path: string): Result<Polygon> => {
  const [first, last] = [row.points[0], row.points.at(-1)];
  const gap = first && last ? Math.hypot(first.x - last.x, first.y - last.y) : 0;
  // NaN is told by the check of the outline itself.
  if (!row.closed && gap > MEET_MM)
    return err(
      issue('OUTLINE_OPEN', path, {
        detail: `Its ends are ${(gap / 10).toFixed(1)} cm apart, ${place(first)}.`,
      }),
    );
  const clean = cleanOutline(row.points, path);
  if (!clean.ok) return clean;
  const thinned = simplify(clean.value);
  const still = cleanOutline(thinned, path);
  if (still.ok || clean.value.length > MOST_DRAWN_POINTS) return still;
  return clean;
};

/**
 * The closed outlines of an SVG, in mm: paths and basic shapes, any transform, nested groups, units honoured. Nothing
 * in the file is executed or fetched: scripts, links, pictures and text are left out, and said so.
 * @returns outlines with the largest first; fails with FILE_TOO_LARGE, SVG_UNREADABLE or SVG_NO_OUTLINE, or with what
 * is wrong with every outline there is
 */
export const readSvgOutlines = (text: string): Result<SvgOutlines> => {
  const tree = readSvgTree(text);
  if (!tree.ok) return tree;
  const issues: Issue[] = [];
  const found: FoundOutline[] = [];
  for (const path of tree.value.paths) {
    const rows = subpathsOf(path);
    if (!rows.ok) {
      issues.push(...rows.issues);
      continue;
    }
    rows.value.forEach((row, i) => {
      if (row.points.length < 2) return;
      const where = rows.value.length > 1 ? `${path.place}, part ${i + 1}` : path.place;
      const outline = outlineOfRow(row, where);
      if (outline.ok) found.push({ name: where, points: outline.value });
      else issues.push(...outline.issues);
    });
  }
  if (found.length === 0)
    return err(...(issues.length > 0 ? issues.slice(0, 5) : [issue('SVG_NO_OUTLINE', '')]));
  const outlines = found.toSorted((a, b) => polygonArea(b.points) - polygonArea(a.points));
  return ok({
    outlines: outlines.slice(0, MOST_OFFERED),
    notices: [...tree.value.notices, ...issues.map(issueText)],
  });
};
