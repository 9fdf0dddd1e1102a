import { dequal } from 'dequal';

/** One figure that was changed: where it stands, what it was and what it is; undefined is not there. */
interface FieldChange {
  readonly path: readonly string[];
  readonly was: unknown;
  readonly is: unknown;
}

/** The figures in which two records differ. Lists are one figure. */
export type Patch = readonly FieldChange[];

type Fields = Readonly<Record<string, unknown>>;

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What every record carries for the store's own sake, and no undo touches. */
const BOOKKEEPING: ReadonlySet<string> = new Set([
  'kind',
  'version',
  'id',
  'createdAt',
  'updatedAt',
  'revision',
  'sample',
]);

const between = (was: unknown, is: unknown, path: readonly string[]): Patch => {
  if (!isFields(was) || !isFields(is)) return dequal(was, is) ? [] : [{ path, was, is }];
  const keys = new Set([...Object.keys(was), ...Object.keys(is)]);
  return [...keys].flatMap(key =>
    path.length === 0 && BOOKKEEPING.has(key) ? [] : between(was[key], is[key], [...path, key]),
  );
};

/** The figures that a change changed. */
export const patchBetween = (before: object, after: object): Patch =>
  between({ ...before }, { ...after }, []);

/** The same change the other way. */
export const reversed = (patch: Patch): Patch =>
  patch.map(({ path, was, is }) => ({ path, was: is, is: was }));

const at = (fields: unknown, path: readonly string[]): unknown =>
  path.reduce<unknown>(
    (node, key) => (isFields(node) && Object.hasOwn(node, key) ? node[key] : undefined),
    fields,
  );

const withValue = (fields: Fields, path: readonly string[], value: unknown): Fields => {
  const [key, ...rest] = path;
  if (key === undefined) return fields;
  if (rest.length > 0) {
    const inner = fields[key];
    return { ...fields, [key]: withValue(isFields(inner) ? inner : {}, rest, value) };
  }
  if (value !== undefined) return { ...fields, [key]: value };
  const { [key]: _, ...others } = fields;
  return others;
};

/**
 * A record with a change made on it, as far as its figures still are what the change began from: what was changed since by
 * somebody else is left.
 * @returns the record's fields, and how many figures were left
 */
export const patched = (
  record: object,
  patch: Patch,
): { readonly fields: Fields; readonly overtaken: number } => {
  let fields: Fields = { ...record };
  let overtaken = 0;
  for (const { path, was, is } of patch)
    if (dequal(at(fields, path), was)) fields = withValue(fields, path, is);
    else overtaken += 1;
  return { fields, overtaken };
};
