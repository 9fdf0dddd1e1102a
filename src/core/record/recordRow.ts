import { formKind } from '../forms/kinds/registry';
import { outcome } from '../plan/outcome';
import type { DryMeasures } from '../plan/outcome';
import type { PlanInput } from '../plan/planInput';
import { planOf } from '../plan/planOf';
import { projectGrams } from '../project/projectGrams';
import { swatchOutcome, type SwatchReadings } from '../wool/swatchOutcome';

/** One finished thing as the record has it. What was not measured is null. */
export interface RecordRow {
  readonly id: string;
  readonly kind: 'piece' | 'swatch' | 'project';
  readonly name: string;
  /** What its form is called. */
  readonly form: string;
  readonly woolId: string | null;
  readonly finishedAt: string;
  readonly grams: number | null;
  /** Shrinkage, shares. */
  readonly along: number | null;
  readonly across: number | null;
  /** g/cm³. */
  readonly density: number | null;
  /** The first two lines, dry, mm. */
  readonly sizeMm: readonly number[];
  readonly notes: string;
}

interface Kept {
  readonly id: string;
  readonly updatedAt: string;
  readonly deletedAt: string | null;
}
export type RecordedPiece = Kept & {
  readonly name: string;
  readonly notes: string;
  readonly woolId: string | null;
  readonly plan: PlanInput;
  readonly result: DryMeasures & { readonly finishedAt: string | null };
};
export type RecordedSwatch = Kept &
  SwatchReadings & {
    readonly woolId: string;
    readonly notes: string;
    readonly result: SwatchReadings['result'] & { readonly finishedAt: string | null };
  };

/** A thing that was put together of pieces and parts. */
export type RecordedProject = Kept & {
  readonly name: string;
  readonly notes: string;
  readonly doneAt: string | null;
  readonly pieces: ReadonlyArray<{ readonly pieceId: string | null; readonly count: number }>;
};

/** What was put together, with the weight of its pieces. */
const projectRow = (project: RecordedProject, pieces: readonly RecordedPiece[]): readonly RecordRow[] => {
  const { id, name, notes, doneAt } = project;
  if (doneAt === null || project.deletedAt !== null) return [];
  const grams = projectGrams(project.pieces, of => pieces.find(p => p.id === of)?.result.grams ?? null);
  return [
    {
      id,
      kind: 'project',
      name,
      form: 'Put together',
      woolId: null,
      finishedAt: doneAt,
      grams,
      along: null,
      across: null,
      density: null,
      sizeMm: [],
      notes,
    },
  ];
};

const pieceRow = (piece: RecordedPiece, finishedAt: string): RecordRow => {
  const plan = planOf(piece.plan);
  const kind = formKind(piece.plan.form.kind);
  const came = plan.ok ? outcome(plan.value.form, piece.result, null) : null;
  return {
    id: piece.id,
    kind: 'piece',
    name: piece.name,
    form: kind.ok ? kind.value.title : piece.plan.form.kind,
    woolId: piece.woolId,
    finishedAt,
    grams: piece.result.grams,
    along: came?.along ?? null,
    across: came?.across ?? null,
    density: came?.density ?? null,
    sizeMm: (came?.gauges ?? []).flatMap(g => (g.dryMm === null ? [] : [g.dryMm])).slice(0, 2),
    notes: piece.notes,
  };
};

const swatchRow = (swatch: RecordedSwatch, finishedAt: string): RecordRow => {
  const { along, across, firmness: density } = swatchOutcome(swatch);
  const { result } = swatch;
  return {
    id: swatch.id,
    kind: 'swatch',
    name: 'Swatch',
    form: 'Swatch',
    woolId: swatch.woolId,
    finishedAt,
    grams: result.grams,
    along,
    across,
    density,
    sizeMm: [result.along, result.across].filter(v => v !== null),
    notes: swatch.notes,
  };
};

/**
 * Rows of the record, the one finished last first; what did not change since it was asked before is not worked out again.
 * @returns a function with a memory of its own
 */
export const recordRowsKept = () => {
  const known = new Map<string, { readonly updatedAt: string; readonly row: RecordRow }>();
  const kept = <T extends Kept & { readonly result: { readonly finishedAt: string | null } }>(
    record: T,
    make: (record: T, finishedAt: string) => RecordRow,
  ): readonly RecordRow[] => {
    const { finishedAt } = record.result;
    if (record.deletedAt !== null || finishedAt === null) return [];
    const was = known.get(record.id);
    if (was?.updatedAt === record.updatedAt) return [was.row];
    const row = make(record, finishedAt);
    known.set(record.id, { updatedAt: record.updatedAt, row });
    return [row];
  };
  return (
    all: {
      readonly pieces: readonly RecordedPiece[];
      readonly swatches: readonly RecordedSwatch[];
      readonly projects?: readonly RecordedProject[];
    },
    progress: (done: number, of: number) => void = () => undefined,
  ): readonly RecordRow[] => {
    const { pieces, swatches, projects = [] } = all;
    const of = pieces.length + swatches.length;
    const rows = [
      ...pieces.flatMap((p, i) => {
        if (i % 50 === 0) progress(i, of);
        return kept(p, pieceRow);
      }),
      ...swatches.flatMap(s => kept(s, swatchRow)),
      ...projects.flatMap(p => projectRow(p, pieces)),
    ];
    return rows.toSorted((a, b) => (a.finishedAt < b.finishedAt ? 1 : -1));
  };
};
