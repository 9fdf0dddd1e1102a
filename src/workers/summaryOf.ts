import { driedPieces } from '../core/finishing/driedPieces';
import { meanProgress, nowShare } from '../core/forecast/progressNow';
import { progressForecast } from '../core/forecast/progressForecast';
import { benchState } from '../core/log/benchState';
import { entriesInForce } from '../core/log/entriesInForce';
import { benchLog } from '../core/log/logParts';
import { takingsOf } from '../core/log/shelfTakings';
import { stageOf } from '../core/log/stageOf';
import { simplify } from '../core/outline/simplify';
import { type Outcome, dryShare, outcome } from '../core/plan/outcome';
import { planOf } from '../core/plan/planOf';
import { svgPathData } from '../drawing/pathSink';
import { pieceScene, type Scene } from '../drawing/scene';
import { type Entry, entrySpec } from '../records/entry';
import { isObject, loadRecord } from '../records/migrate';
import { type Piece, pieceKind, woolsOf } from '../records/piece';
import { type PieceSummary, type RawPiece, SUMMARY_VERSION } from '../records/summary';

type Drawn = Pick<PieceSummary, 'progress' | 'sizesMm' | 'drawing' | 'along' | 'across' | 'density'>;

const UNDRAWN: Drawn = {
  progress: null,
  sizesMm: [],
  drawing: null,
  along: null,
  across: null,
  density: null,
};

/** Whatever looks like the name of a picture: what cannot be read names it all the same. */
const HASHES = /\b[0-9a-f]{64}\b/g;

const NOT_READ = '1970-01-01T00:00:00.000Z';

const textOf = (raw: Record<string, unknown>, field: string, otherwise: string): string =>
  typeof raw[field] === 'string' ? raw[field] : otherwise;

/** What can be said of a piece that cannot be read. */
const unreadable = (raw: unknown): PieceSummary => {
  const fields = isObject(raw) ? raw : {};
  const revision = typeof fields['revision'] === 'number' ? fields['revision'] : 0;
  return {
    ...UNDRAWN,
    id: textOf(fields, 'id', ''),
    version: SUMMARY_VERSION,
    made: { revision, seq: 0 },
    unread: 'piece',
    name: textOf(fields, 'name', ''),
    createdAt: NOT_READ,
    updatedAt: NOT_READ,
    deletedAt: null,
    finishedAt: null,
    isOfSample: false,
    isUntouched: false,
    woolId: null,
    woolIds: [],
    swatchId: null,
    stage: 'planned',
    lastAt: null,
    isFinishing: false,
    dried: null,
    takings: [],
    attachments: JSON.stringify(raw)?.match(HASHES) ?? [],
  };
};

/** A finished piece is what it came out as, beside what was wanted; a planned one has no wool on the table yet. */
const ROLES: Readonly<Record<PieceSummary['stage'], readonly string[]>> = {
  planned: ['laid', 'wanted'],
  bench: ['laid', 'now', 'wanted'],
  drying: ['laid', 'now', 'wanted'],
  finished: ['now', 'wanted'],
};

/** No piece is drawn larger on a table than so many pixels: what moves it by less than a quarter of one is left out. */
const MOST_PX = 300;
const QUARTER = 0.25;

/** The lines of a scene as they are drawn on a table of many. */
const drawingOf = ({ box, shapes }: Scene, stage: PieceSummary['stage']): PieceSummary['drawing'] => {
  const size = Math.max(box.maxX - box.minX, box.maxY - box.minY);
  const tolerance = (QUARTER * size) / MOST_PX;
  const decimals = Math.max(0, Math.ceil(-Math.log10(tolerance)));
  return {
    box,
    lines: shapes
      .filter(s => ROLES[stage].includes(s.role))
      .map(({ role, points, closed }) => ({
        role,
        path: svgPathData(closed ? simplify(points, tolerance) : points, closed, decimals),
        closed,
      })),
  };
};

const draw = ({ plan: input, result }: Piece, log: readonly Entry[], stage: PieceSummary['stage']): Drawn => {
  const plan = planOf(input);
  if (!plan.ok) return UNDRAWN;
  const { form, laidGramsEach } = plan.value;
  const forecast = progressForecast(form.gauges, benchState(log));
  const dry: Outcome | null = stage === 'finished' ? outcome(form, result, laidGramsEach) : null;
  const now = dry ? dryShare(dry) : stage === 'planned' ? null : nowShare(forecast);
  const scene = pieceScene(form, { foldOverMm: 0, ...(now ? { now } : {}) });
  return {
    progress: stage === 'bench' ? meanProgress(forecast) : null,
    sizesMm: form.gauges.slice(0, 2).map(g => (dry ? result.readings[g.id] : null) ?? g.wantedMm),
    drawing: drawingOf(scene, stage),
    along: dry?.along ?? null,
    across: dry?.across ?? null,
    density: dry?.density ?? null,
  };
};

/** Whatever is wrong with a plan, its piece is on the table: it is shown as one to be mended. */
const drawnOrNot = (piece: Piece, log: readonly Entry[], stage: PieceSummary['stage']): Drawn => {
  try {
    return draw(piece, log, stage);
  } catch {
    return UNDRAWN;
  }
};

/** The summary of a piece, from what is stored of it and of its log. What cannot be read is said to be so. */
export const summaryOf = ({ piece: raw, log: raws }: RawPiece): PieceSummary => {
  const loaded = loadRecord(pieceKind, raw, 'piece');
  const entries = raws.map(e => loadRecord(entrySpec, e, 'entry'));
  if (loaded.status !== 'ok') return unreadable(raw);
  const piece = loaded.value;
  const whole = entries
    .flatMap(e => (e.status === 'ok' ? [e.value] : []))
    .toSorted((a, b) => a.seq - b.seq || a.id.localeCompare(b.id));
  const log = benchLog(whole);
  const stage = stageOf(log, piece.result.finishedAt);
  return {
    id: piece.id,
    version: SUMMARY_VERSION,
    made: { revision: piece.revision, seq: whole.at(-1)?.seq ?? 0 },
    unread: entries.some(e => e.status !== 'ok') ? 'log' : 'nothing',
    name: piece.name,
    createdAt: piece.createdAt,
    updatedAt: piece.updatedAt,
    deletedAt: piece.deletedAt,
    finishedAt: piece.result.finishedAt,
    isOfSample: piece.sample,
    isUntouched: piece.sample && piece.revision === 1,
    woolId: piece.woolId,
    woolIds: [...woolsOf(piece)],
    swatchId: piece.swatchOf,
    stage,
    lastAt: entriesInForce(log).at(-1)?.at ?? null,
    ...drawnOrNot(piece, log, stage),
    isFinishing: whole.some(e => e.act.kind === 'finish'),
    dried: driedPieces([piece], new Map([[piece.id, whole]]), Date.parse)[0] ?? null,
    takings: takingsOf(whole, { abandoned: new Set(), msOf: Date.parse }),
    attachments: [
      ...pieceKind.attachments(piece),
      ...raws.flatMap(e => JSON.stringify(e).match(HASHES) ?? []),
    ],
  };
};
