import { entriesInForce } from '../log/entriesInForce';
import type { LogEntry } from '../log/entry';
import type { PlanInput } from '../plan/planInput';
import { planOf } from '../plan/planOf';
import type { Habits } from '../ways/habits';
import { dryingBody } from './dryingBody';
import { dryingHours } from './dryingHours';
import { dryness, type Weighing } from './dryness';
import type { DriedPiece } from './ownDrying';

const HOUR_MS = 3_600_000;

/** The last drying in a log that came to its end: in which air, from when, until when; null where there is none. */
const lastDrying = (log: readonly LogEntry[], msOf: (at: string) => number) => {
  let begun: { air: DriedPiece['air']; atMs: number } | null = null;
  let weighings: Weighing[] = [];
  let found: { air: DriedPiece['air']; fromMs: number; toMs: number; wetMs: number | null } | null = null;
  for (const { act, at } of entriesInForce(log)) {
    if (act.kind !== 'finish' || act.step !== 'dry') continue;
    if (act.how === 'begun') {
      begun = { air: act.air ?? 'room', atMs: msOf(at) };
      weighings = [];
    } else if (act.how === 'weighed' && act.grams !== undefined)
      weighings.push({ atMs: msOf(at), grams: act.grams });
    else if (act.how === 'done' && begun) {
      // Weighed and still losing: it was wet then.
      const wet = weighings.findLast((_, i) => dryness(weighings.slice(0, i + 1), null).is === 'wet');
      const last = weighings.at(-1);
      const isLast = wet !== undefined && wet === last && weighings.length === 1;
      found = {
        air: begun.air,
        fromMs: begun.atMs,
        toMs: msOf(at),
        wetMs: wet && !isLast ? wet.atMs : null,
      };
    }
  }
  return found;
};

/** Every drying that came to an end, with what common practice had said of it. */
export const driedPieces = (
  pieces: ReadonlyArray<{
    readonly id: string;
    readonly plan: PlanInput;
    readonly habits: Habits;
    readonly deletedAt: string | null;
    readonly result: { readonly thicknessMm: number | null };
  }>,
  logs: ReadonlyMap<string, readonly LogEntry[]>,
  msOf: (at: string) => number,
): readonly DriedPiece[] =>
  pieces.flatMap((piece): DriedPiece[] => {
    const drying = piece.deletedAt === null ? lastDrying(logs.get(piece.id) ?? [], msOf) : null;
    const plan = drying && planOf(piece.plan);
    const body = plan?.ok ? dryingBody(plan.value, piece.habits, piece.result.thicknessMm) : null;
    if (!drying || !body) return [];
    return [
      {
        id: piece.id,
        air: drying.air,
        predictedH: dryingHours(body, drying.air),
        tookH: (drying.toMs - drying.fromMs) / HOUR_MS,
        wetAtH: drying.wetMs === null ? null : (drying.wetMs - drying.fromMs) / HOUR_MS,
      },
    ];
  });
