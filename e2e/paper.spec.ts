import { readFileSync } from 'node:fs';
import { writeFile } from 'node:fs/promises';
import { FORM_KINDS } from '../src/core/forms/kinds/registry';
import { newPlan } from '../src/core/plan/newPlan';
import { planOf } from '../src/core/plan/planOf';
import { PAPER_NAMES, planSheets } from '../src/drawing/sheets';
import type { Shape } from '../src/drawing/scene';
import { makeTemplate, type Template } from '../src/drawing/template';
import { templatePdf } from '../src/files/templatePdf';
import { expect, test } from '@playwright/test';
import { type Path, pathsOf } from './poppler';
import { eachTime } from './tiers';

const FONT =
  'node_modules/@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf';
const fontBase64 = readFileSync(FONT).toString('base64');

const templateOf = (kind: (typeof FORM_KINDS)[number]): Template => {
  const input = newPlan(kind);
  const plan = planOf(input);
  if (!plan.ok) throw new Error(kind.kind);
  return makeTemplate(plan.value, {
    name: kind.title,
    date: '2026-03-01',
    foldOverMm: input.foldOverMm,
    pieces: 1,
    units: 'metric',
  });
};

type Line = Path['points'];

const offSegment = ([px, py]: Line[number], [ax, ay]: Line[number], [bx, by]: Line[number]): number => {
  const [dx, dy] = [bx - ax, by - ay];
  const along = ((px - ax) * dx + (py - ay) * dy) / (dx * dx + dy * dy || 1);
  const t = Math.min(1, Math.max(0, along));
  return Math.hypot(px - ax - t * dx, py - ay - t * dy);
};
/** The farthest any point of one line lies from another line, mm. */
const farthest = (from: Line, to: Line): number =>
  Math.max(...from.map(p => Math.min(...to.map((a, i) => offSegment(p, a, to[(i + 1) % to.length] ?? a)))));

/** How far a line read back and a shape lie apart, mm. Poppler leaves out points on a straight line, so lines are compared. */
const apart = (path: Path, line: Line): number =>
  Math.max(farthest(path.points, line), farthest(line, path.points));

FORM_KINDS.forEach((kind, i) => {
  const paper = PAPER_NAMES[i % PAPER_NAMES.length] ?? 'a4';
  test(
    `${kind.title} on ${paper}: every line of the PDF stands where the plan has it`,
    eachTime(i % 6 === 0),
    async () => {
      const template = templateOf(kind);
      const pdf = test.info().outputPath('template.pdf');
      await writeFile(pdf, new Uint8Array(templatePdf(template, { paper, orientation: 'auto', fontBase64 })));
      const sheets = planSheets(template.box, paper, 'auto');
      const seen = new Set<Shape>();
      const worst: number[] = [];
      sheets.sheets.forEach((sheet, page) => {
        const { window: w } = sheet;
        const paths = pathsOf(pdf, page + 1);
        const by = { x: sheets.origin.x - w.minX, y: sheets.origin.y - w.minY };
        // A line with a point on this sheet must be drawn on it; one that does not reach it need not.
        const here = template.shapes.filter(s =>
          s.points.some(p => p.x > w.minX && p.x < w.maxX && p.y > w.minY && p.y < w.maxY),
        );
        for (const shape of here) {
          seen.add(shape);
          const line: Line = shape.points.map(p => [p.x + by.x, p.y + by.y]);
          const alike = paths.filter(
            p =>
              p.closed === shape.closed &&
              p.points[0] &&
              line[0] &&
              Math.hypot(p.points[0][0] - line[0][0], p.points[0][1] - line[0][1]) < 1,
          );
          worst.push(Math.min(...alike.map(path => apart(path, line))));
        }
      });
      expect(seen.size).toBe(template.shapes.length);
      expect(Math.max(...worst)).toBeLessThan(0.005);
    },
  );
});
