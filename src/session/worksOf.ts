import { type Air, FINISH_STEPS, type FinishStep } from '../core/acts/finishSteps';
import { isOneByOne } from '../core/advice/manyAct';
import { driedPieces } from '../core/finishing/driedPieces';
import { finishingOf } from '../core/finishing/finishingOf';
import { type OwnDrying, ownDrying } from '../core/finishing/ownDrying';
import { benchLog, weighings } from '../core/log/logParts';
import { manyAlike } from '../core/log/manyAlike';
import { stageOf } from '../core/log/stageOf';
import type { Plan } from '../core/plan/makePlan';
import { planOf } from '../core/plan/planOf';
import type { WorkedPiece } from '../core/schedule/ownPace';
import { phaseMinutes, phasesOf } from '../core/schedule/phaseMinutes';
import { PHASES } from '../core/schedule/practiceMinutes';
import type { Work } from '../core/schedule/work';
import { entriesInForce } from '../core/log/entriesInForce';
import { wayOf } from '../core/ways/register';
import type { Entry } from '../records/entry';
import type { Piece } from '../records/piece';
import { dryEach } from './laidEach';
import { minutesTo } from './workHours';

/** What is known of a workshop's pieces when their work is looked at. */
export interface PieceBook {
  /** All of them, deleted ones too. */
  readonly pieces: readonly Piece[];
  readonly logs: ReadonlyMap<string, readonly Entry[]>;
  readonly nowMs: number;
}

/** Steps at which hands are once more when it is dry. */
const AFTER_DRY: ReadonlySet<FinishStep> = new Set(
  FINISH_STEPS.slice(FINISH_STEPS.indexOf('dry') + 1).filter(s => s !== 'record'),
);

/** Hours that a piece is taken to dry whose thickness is not known. Common practice. */
const DRIES_H = 24;

interface Read {
  readonly piece: Piece;
  readonly plan: Plan;
  readonly log: readonly Entry[];
}

const finishing = ({ piece, plan, log }: Read, own: (air: Air) => OwnDrying) => {
  const parts = { piece, entries: benchLog(log), weighings: weighings(log) };
  return finishingOf(piece, plan, {
    log: parts.entries,
    plannedG: dryEach(parts, plan),
    own,
    msOf: Date.parse,
  });
};

/** What a piece is like as work: one that is not begun. Null while its grams are open. */
const asWork = (
  read: Read,
  of: { readonly id: string; readonly name: string; readonly count: number },
  own: (air: Air) => OwnDrying,
): Work | null => {
  const { piece, plan } = read;
  const gramsEach = plan.laidGramsEach;
  if (gramsEach === null || !(gramsEach > 0)) return null;
  const { state, steps, settled, drying } = finishing(read, own);
  const air = state.air ?? 'room';
  return {
    ...of,
    way: wayOf(plan.kind, plan.form, piece.way).id,
    isSolid: plan.form.solid !== null,
    gramsEach,
    felted: 0,
    phase: 'lay',
    spentMin: 0,
    dryH: drying?.likelyH ?? DRIES_H,
    drySd: own(air).sd,
    air,
    soaks: steps.includes('soak') && !settled.has('soak'),
    hasAfter: steps.some(s => AFTER_DRY.has(s) && !settled.has(s)),
    dryAt: null,
    due: null,
  };
};

/** What was learnt of drying at this maker's. */
const dryingOf = ({ pieces, logs }: PieceBook) => {
  const dried = driedPieces(pieces, logs, Date.parse);
  return (air: Air): OwnDrying => ownDrying(dried, air);
};

/** Turns pieces into work: what is still to be done of each. */
export const workReader = (book: PieceBook) => {
  const own = dryingOf(book);
  const byId = new Map(book.pieces.map(p => [p.id, p]));
  const read = (piece: Piece): Read | null => {
    const plan = planOf(piece.plan);
    return plan.ok ? { piece, plan: plan.value, log: book.logs.get(piece.id) ?? [] } : null;
  };
  return {
    /** So many more, made like a piece; null where that piece is gone or its grams are open. */
    like: (
      pieceId: string,
      of: { readonly id: string; readonly name: string; readonly count: number },
    ): Work | null => {
      const piece = byId.get(pieceId);
      const found = piece && read(piece);
      return found ? asWork({ ...found, log: [] }, of, own) : null;
    },
    /** What is left of a piece on the table; null where nothing is, or its grams are open. */
    of: (piece: Piece): Work | null => {
      const found = read(piece);
      if (!found || piece.result.finishedAt !== null) return null;
      const { id, name } = piece;
      const work = asWork(found, { id, name, count: piece.plan.pieces }, own);
      if (!work) return null;
      const log = entriesInForce(found.log);
      const bench = benchLog(found.log);
      const { waits } = finishing(found, own);
      const drying = waits.find(w => w.step === 'dry');
      const phase = stageOf(bench, null) === 'drying' ? 'after' : (phasesOf(log).at(-1) ?? 'lay');
      const way = wayOf(found.plan.kind, found.plan.form, piece.way);
      const untilMs = drying?.untilMs ?? null;
      return {
        ...work,
        phase,
        felted: isOneByOne(way, piece.plan.pieces)
          ? Math.min(work.count, manyAlike(bench).through.length)
          : 0,
        spentMin: phaseMinutes(found.log, Date.parse)[phase],
        dryAt: untilMs === null ? null : Math.max(0, minutesTo(untilMs, book.nowMs)),
      };
    },
  };
};

/** Hands' minutes of every finished piece, by phase: what the maker's own pace is learnt from. */
export const pacedPieces = ({ pieces, logs }: PieceBook): readonly WorkedPiece[] =>
  pieces
    .filter(p => p.deletedAt === null && p.result.finishedAt !== null)
    .flatMap(piece => {
      const plan = planOf(piece.plan);
      const log = logs.get(piece.id) ?? [];
      const grams = plan.ok ? plan.value.laidGramsEach : null;
      if (!plan.ok || grams === null || log.length === 0) return [];
      const minutes = phaseMinutes(log, Date.parse);
      const way = wayOf(plan.value.kind, plan.value.form, piece.way).id;
      return PHASES.flatMap((phase): WorkedPiece[] =>
        minutes[phase] > 0
          ? [{ id: piece.id, way, phase, grams, minutes: minutes[phase] / piece.plan.pieces }]
          : [],
      );
    });
