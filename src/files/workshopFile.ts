import { formKind, checkMeasures } from '../core/forms/kinds/registry';
import { type Issue, issue } from '../core/issues';
import { err, ok, type Result } from '../core/result';
import { entrySpec } from '../records/entry';
import { isObject, loadRecord, type RecordSpec } from '../records/migrate';
import { type Piece, pieceSpec, woolsOf } from '../records/piece';
import type { Snapshot } from '../records/snapshot';
import { recipeSpec } from '../records/recipe';
import { swatchSpec } from '../records/swatch';
import { woolSpec } from '../records/wool';

/** Name and version that stand at the head of every file. */
const FILE_FORMAT = 'jorrit-workshop';
const FILE_VERSION = 1;
/** Far above any workshop; guards against opening a film by mistake. */
const LARGEST_CHARS = 100_000_000;

const byId = <T extends { readonly id: string }>(records: readonly T[]): T[] =>
  records.toSorted((a, b) => (a.id < b.id ? -1 : 1));

/** Objects with their keys in one order, whichever order they were made in. */
const inKeyOrder = (_key: string, value: unknown): unknown =>
  isObject(value)
    ? Object.fromEntries(Object.entries(value).toSorted(([a], [b]) => (a < b ? -1 : 1)))
    : value;

/** The workshop as text: JSON, indented, records and keys sorted so that two exports of the same data are the same. */
export const writeWorkshopFile = (snapshot: Snapshot, exportedAt: string): string =>
  `${JSON.stringify(
    {
      format: FILE_FORMAT,
      fileVersion: FILE_VERSION,
      exportedAt,
      pieces: byId(snapshot.pieces),
      wools: byId(snapshot.wools),
      swatches: byId(snapshot.swatches),
      recipes: byId(snapshot.recipes),
      entries: snapshot.entries.toSorted((a, b) =>
        a.pieceId === b.pieceId ? a.seq - b.seq : a.pieceId < b.pieceId ? -1 : 1,
      ),
    },
    inKeyOrder,
    1,
  )}\n`;

/** One piece with its log and its wool. */
export const onePiece = (snapshot: Snapshot, pieceId: string): Snapshot => {
  const pieces = snapshot.pieces.filter(p => p.id === pieceId);
  const wools = snapshot.wools.filter(w => pieces.some(p => woolsOf(p).has(w.id)));
  return {
    pieces,
    wools,
    swatches: snapshot.swatches.filter(s => wools.some(w => w.id === s.woolId)),
    // The recipe that it follows goes with the piece itself.
    recipes: [],
    entries: snapshot.entries.filter(e => e.pieceId === pieceId),
  };
};

const list = <T>(spec: RecordSpec<T>, raw: unknown, path: string): { records: T[]; issues: Issue[] } => {
  if (!Array.isArray(raw))
    return { records: [], issues: [issue('FILE_INVALID', path, { detail: 'A list is expected.' })] };
  const loaded = raw.map((record: unknown, i) => loadRecord(spec, record, `${path}[${i}]`));
  return {
    records: loaded.flatMap(l => (l.status === 'ok' ? [l.value] : [])),
    issues: loaded.flatMap(l => (l.status === 'ok' ? [] : l.issues)),
  };
};

const twice = (records: ReadonlyArray<{ readonly id: string }>, path: string): Issue[] => {
  const seen = new Set<string>();
  return records.flatMap((r, i) => {
    if (seen.has(r.id))
      return [issue('FILE_INVALID', `${path}[${i}].id`, { got: r.id, detail: 'This name is used twice.' })];
    seen.add(r.id);
    return [];
  });
};

const formIssues = (pieces: readonly Piece[]): Issue[] =>
  pieces.flatMap((piece, i) => {
    const kind = formKind(piece.plan.form.kind);
    const checked = kind.ok ? checkMeasures(kind.value, piece.plan.form.measures) : kind;
    return checked.ok ? [] : checked.issues.map(it => ({ ...it, path: `pieces[${i}].${it.path}` }));
  });

const noWool = (path: string, got: string): Issue =>
  issue('FILE_INVALID', `${path}.woolId`, { got, detail: 'No such wool in this file.' });

const linkIssues = ({ pieces, wools, swatches, entries }: Snapshot): Issue[] => {
  const known = new Set(pieces.map(p => p.id));
  const shelf = new Set(wools.map(w => w.id));
  return [
    ...entries.flatMap((e, i) =>
      known.has(e.pieceId)
        ? []
        : [
            issue('FILE_INVALID', `entries[${i}].pieceId`, {
              got: e.pieceId,
              detail: 'No such piece in this file.',
            }),
          ],
    ),
    ...pieces.flatMap((p, i) =>
      [...woolsOf(p)].flatMap(id => (shelf.has(id) ? [] : [noWool(`pieces[${i}]`, id)])),
    ),
    ...swatches.flatMap((s, i) => (shelf.has(s.woolId) ? [] : [noWool(`swatches[${i}]`, s.woolId)])),
  ];
};

const parseJson = (text: string): Result<Record<string, unknown>> => {
  try {
    const raw: unknown = JSON.parse(text);
    return isObject(raw) ? ok(raw) : err(issue('FILE_INVALID', '', { detail: 'A workshop is expected.' }));
  } catch (error) {
    return err(issue('FILE_NOT_JSON', '', { detail: error instanceof Error ? `${error.message}.` : '' }));
  }
};

/**
 * Reads a workshop file. Either all of it is good, or nothing is taken and every issue names its place.
 * Fails with FILE_TOO_LARGE, FILE_NOT_JSON, FILE_INVALID, RECORD_NEWER, UNKNOWN_FORM, MEASURE_MISSING, OUT_OF_RANGE.
 */
export const readWorkshopFile = (text: string): Result<Snapshot> => {
  if (text.length > LARGEST_CHARS)
    return err(issue('FILE_TOO_LARGE', '', { got: `${text.length} characters` }));
  const json = parseJson(text);
  if (!json.ok) return json;
  const { format, fileVersion } = json.value;
  if (format !== FILE_FORMAT)
    return err(issue('FILE_INVALID', 'format', { got: format, detail: `“${FILE_FORMAT}” is expected.` }));
  if (typeof fileVersion !== 'number') return err(issue('FILE_INVALID', 'fileVersion', { got: fileVersion }));
  if (fileVersion > FILE_VERSION) return err(issue('RECORD_NEWER', 'fileVersion', { got: fileVersion }));
  const pieces = list(pieceSpec, json.value['pieces'], 'pieces');
  const wools = list(woolSpec, json.value['wools'], 'wools');
  // Files from before there were swatches, or recipes, have no list of them.
  const swatches = list(swatchSpec, json.value['swatches'] ?? [], 'swatches');
  const recipes = list(recipeSpec, json.value['recipes'] ?? [], 'recipes');
  const entries = list(entrySpec, json.value['entries'], 'entries');
  const all = { pieces, wools, swatches, recipes, entries };
  const shapes = Object.values(all).flatMap(l => l.issues);
  if (shapes.length > 0) return err(...shapes);
  const snapshot: Snapshot = {
    pieces: pieces.records,
    wools: wools.records,
    swatches: swatches.records,
    recipes: recipes.records,
    entries: entries.records,
  };
  const sense = [
    ...Object.entries(snapshot).flatMap(([name, records]) => twice(records, name)),
    ...formIssues(snapshot.pieces),
    ...linkIssues(snapshot),
  ];
  return sense.length > 0 ? err(...sense) : ok(snapshot);
};
