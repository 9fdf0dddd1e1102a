import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { issue } from '../core/issues';
import { err, ok, type Result } from '../core/result';
import { isObject } from '../records/migrate';
import { type Attributes, shapePath } from './svgShapes';
import { MM_PER_PX, svgLengthMm, svgLengthPx } from './svgUnits';

/** A path as it stands in the file: its data, all transforms above it down to mm, and where it is. */
export interface SvgPath {
  readonly d: string;
  /** A list of SVG transforms, the last applied first. */
  readonly transform: string;
  readonly place: string;
}

export interface SvgTree {
  readonly paths: readonly SvgPath[];
  readonly notices: readonly string[];
}

interface Element {
  readonly name: string;
  readonly attributes: Attributes;
  readonly children: readonly Element[];
}

const LARGEST_CHARS = 20_000_000;
/** Groups in groups beyond this depth are no drawing. */
const DEEPEST = 60;
const MOST_PATHS = 5000;
/** Parts that use parts that use parts could go on without end. */
const MOST_STEPS = 100_000;

const LEFT_OUT: Readonly<Record<string, string>> = {
  script: 'A script was left out; Jorrit never runs anything in a file.',
  foreignObject: 'Content of another kind was left out.',
  image: 'A picture was left out.',
  text: 'Text was left out: turn it into a path to use its outline.',
};
const NOT_DRAWN = new Set([
  'defs',
  'clipPath',
  'mask',
  'pattern',
  'marker',
  'symbol',
  'style',
  'metadata',
  'title',
  'desc',
]);

/** The parser's own rows of one-key objects as elements; text and comments fall away. */
const elementsOf = (rows: unknown): Element[] => {
  if (!Array.isArray(rows)) return [];
  return rows.flatMap((row: unknown): Element[] => {
    if (!isObject(row)) return [];
    const key = Object.keys(row).find(k => k !== ':@' && !k.startsWith('#') && !k.startsWith('?'));
    if (key === undefined) return [];
    const raw = isObject(row[':@']) ? row[':@'] : {};
    const attributes = Object.fromEntries(Object.entries(raw).map(([k, v]) => [k, String(v)]));
    return [{ name: key.replace(/^.*:/, ''), attributes, children: elementsOf(row[key]) }];
  });
};

const parse = (text: string): Result<Element> => {
  if (text.length > LARGEST_CHARS)
    return err(issue('FILE_TOO_LARGE', '', { got: `${text.length} characters` }));
  const valid = XMLValidator.validate(text, { allowBooleanAttributes: true });
  if (valid !== true)
    return err(issue('SVG_UNREADABLE', `line ${valid.err.line}`, { detail: valid.err.msg }));
  try {
    const parser = new XMLParser({
      preserveOrder: true,
      ignoreAttributes: false,
      attributeNamePrefix: '',
      parseAttributeValue: false,
      parseTagValue: false,
      // Entities of the file's own making are not expanded: a few lines could grow without end.
      processEntities: false,
    });
    const root = elementsOf(parser.parse(text)).find(e => e.name === 'svg');
    return root ? ok(root) : err(issue('SVG_UNREADABLE', '', { detail: 'It holds no <svg>.' }));
  } catch (error) {
    return err(issue('SVG_UNREADABLE', '', { detail: error instanceof Error ? `${error.message}.` : '' }));
  }
};

interface ViewBox {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

const viewBoxOf = (a: Attributes): ViewBox | null => {
  const [x, y, width, height] = (a['viewBox'] ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  if (x === undefined || y === undefined || width === undefined || height === undefined) return null;
  return Number.isFinite(x + y) && width > 0 && height > 0 ? { x, y, width, height } : null;
};

/** How a view box is fitted into its place. Source: SVG 1.1, section 7.8, from memory; only the middle of a meet. */
const fit = (box: ViewBox, place: { width: number; height: number }, a: Attributes): string => {
  const [sx, sy] = [place.width / box.width, place.height / box.height];
  if ((a['preserveAspectRatio'] ?? '').trim().startsWith('none'))
    return `scale(${sx} ${sy}) translate(${-box.x} ${-box.y})`;
  const s = Math.min(sx, sy);
  const [dx, dy] = [(place.width - box.width * s) / 2, (place.height - box.height * s) / 2];
  return `translate(${dx} ${dy}) scale(${s}) translate(${-box.x} ${-box.y})`;
};

/** From the file's own units to mm. */
const rootTransform = (a: Attributes, notice: (text: string) => void): string => {
  const box = viewBoxOf(a);
  const [width, height] = [svgLengthMm(a['width']), svgLengthMm(a['height'])];
  if (!box) return `scale(${MM_PER_PX})`;
  if (width === null && height === null) {
    notice('The file has no size in mm or inches, so it was read at 96 units to the inch. Check the length.');
    return `scale(${MM_PER_PX}) translate(${-box.x} ${-box.y})`;
  }
  return fit(
    box,
    {
      width: width ?? ((height ?? 0) * box.width) / box.height,
      height: height ?? ((width ?? 0) * box.height) / box.width,
    },
    a,
  );
};

const isHidden = (a: Attributes): boolean =>
  a['display'] === 'none' ||
  a['visibility'] === 'hidden' ||
  /(?:^|;)\s*(?:display\s*:\s*none|visibility\s*:\s*hidden)/.test(a['style'] ?? '');

const TRANSFORM = /^(?:\s*,?\s*(?:matrix|translate|scale|rotate|skewX|skewY)\s*\([\d\s,.eE+-]*\))*\s*$/;

/**
 * The paths of an SVG with all transforms above them. Nothing is executed or fetched.
 * Fails with FILE_TOO_LARGE or SVG_UNREADABLE.
 */
export const readSvgTree = (text: string): Result<SvgTree> => {
  const root = parse(text);
  if (!root.ok) return root;
  const paths: SvgPath[] = [];
  const notices = new Set<string>();
  const notice = (words: string): unknown => notices.add(words);
  const byId = new Map<string, Element>();
  let steps = 0;
  const index = (e: Element): void => {
    if (e.attributes['id']) byId.set(e.attributes['id'], e);
    e.children.forEach(index);
  };
  index(root.value);

  const own = (e: Element): string => {
    const given = e.attributes['transform'] ?? '';
    if (TRANSFORM.test(given)) return given;
    notice('A transform could not be read, and was left out.');
    return '';
  };
  const placeUsed = (e: Element, transform: string, depth: number): void => {
    const href = e.attributes['href'] ?? e.attributes['xlink:href'] ?? '';
    const target = href.startsWith('#') ? byId.get(href.slice(1)) : undefined;
    if (!target) return void notice('A linked part lies outside this file, and was left out.');
    const moved = `${transform} translate(${svgLengthPx(e.attributes['x'])} ${svgLengthPx(e.attributes['y'])})`;
    if (target.name === 'symbol') for (const child of target.children) walk(child, moved, depth + 1);
    else walk(target, moved, depth + 1);
  };
  const walk = (e: Element, above: string, depth: number): void => {
    steps += 1;
    if (depth > DEEPEST || steps > MOST_STEPS || paths.length >= MOST_PATHS)
      return void notice('The file is nested too deeply or too long: part of it was left out.');
    if (LEFT_OUT[e.name] !== undefined) return void notice(LEFT_OUT[e.name] ?? '');
    if (NOT_DRAWN.has(e.name) || isHidden(e.attributes)) return;
    const transform = `${above} ${own(e)}`;
    if (e.name === 'use') return placeUsed(e, transform, depth);
    const d = shapePath(e.name, e.attributes);
    if (d !== null)
      paths.push({
        d,
        transform,
        place: e.attributes['id'] ? `${e.name} “${e.attributes['id']}”` : `${e.name} ${paths.length + 1}`,
      });
    const inner = e.name === 'svg' ? nested(e, transform) : transform;
    for (const child of e.children) walk(child, inner, depth + 1);
  };
  const nested = (e: Element, transform: string): string => {
    const a = e.attributes;
    const box = viewBoxOf(a);
    const at = `${transform} translate(${svgLengthPx(a['x'])} ${svgLengthPx(a['y'])})`;
    const [width, height] = [svgLengthPx(a['width'], Number.NaN), svgLengthPx(a['height'], Number.NaN)];
    return box && width > 0 && height > 0 ? `${at} ${fit(box, { width, height }, a)}` : at;
  };

  const top = rootTransform(root.value.attributes, notice);
  for (const child of root.value.children) walk(child, top, 0);
  return ok({ paths, notices: [...notices] });
};
