import { clamped, isWithin, type Limit } from '../core/limits';
import { isObject } from './migrate';

type Raw = Readonly<Record<string, unknown>>;

/** A figure that was outside its limits, and what was made of it. */
interface Mended {
  readonly path: string;
  readonly was: number;
  readonly is: number;
}

const step = (
  node: unknown,
  { path, at, limit }: { readonly path: readonly string[]; readonly at: string; readonly limit: Limit },
  mended: Mended[],
): unknown => {
  const [key, ...rest] = path;
  if (key === undefined) {
    if (typeof node !== 'number' || isWithin(node, limit)) return node;
    const is = clamped(node, limit);
    mended.push({ path: at, was: node, is });
    return is;
  }
  if (Array.isArray(node) && key === '*')
    return node.map((item, i) => step(item, { path: rest, at: `${at}[${i}]`, limit }, mended));
  if (!isObject(node)) return node;
  const keys = key === '*' ? Object.keys(node) : Object.hasOwn(node, key) ? [key] : [];
  const within = keys.map(k => {
    const place = at === '' ? k : `${at}.${k}`;
    return [k, step(node[k], { path: rest, at: place, limit }, mended)] as const;
  });
  return { ...node, ...Object.fromEntries(within) };
};

/**
 * A record of an earlier version with every figure within its limits, and in its notes what was changed: earlier versions took
 * any figure, and such a record must stay readable.
 * @param limits by path; `*` is every key or item
 */
export const withinLimits = (
  record: Raw,
  limits: Readonly<Record<string, Limit>>,
): Record<string, unknown> => {
  const mended: Mended[] = [];
  const next = Object.entries(limits).reduce<unknown>(
    (found, [path, limit]) => step(found, { path: path.split('.'), at: '', limit }, mended),
    record,
  );
  if (!isObject(next)) return { ...record };
  const { notes } = next;
  if (mended.length === 0 || typeof notes !== 'string') return next;
  const told = mended.slice(0, 20).map(m => `${m.path} ${m.was} → ${m.is}`);
  return {
    ...next,
    notes: `${notes}${notes === '' ? '' : '\n'}Brought within the limits: ${told.join(', ')}.`,
  };
};
