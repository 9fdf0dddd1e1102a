import { useMemo } from 'react';
import { stageOf } from '../core/log/stageOf';
import { benchLog } from '../core/log/logParts';
import { type Need, type NeedSum, sumNeeds } from '../core/project/needs';
import type { StockState } from '../core/stock/ledger';
import { classKind, type FeltClass } from '../records/feltClass';
import type { Part } from '../records/part';
import { type Product, productKind } from '../records/product';
import type { Project } from '../records/project';
import { logsSince } from './logsSince';
import { lineWants, woolsLike } from './orderNeeds';
import { useLinesLeft } from './useLinesLeft';
import { useStock } from './useStock';
import {
  useAllEntries,
  useAllPieces,
  useLive,
  useParts,
  usePieces,
  useProjects,
  useWools,
} from './useRecords';
import { useGramsLeft } from './useShelf';

/** So much of a part that went off the shelf, or came back, at a time. */
interface PartTaking {
  readonly partId: string | null;
  readonly count: number;
  readonly atMs: number;
}

const ofProjects = (projects: readonly Project[]): readonly PartTaking[] =>
  projects.flatMap(({ doneAt, parts }) =>
    doneAt === null ? [] : parts.map(({ partId, count }) => ({ partId, count, atMs: Date.parse(doneAt) })),
  );

/** What was put together by the dozen has its line in the ledger only: its parts are those of the project it is made like. */
const ofLedger = (
  states: ReadonlyMap<string, StockState>,
  of: { readonly products: readonly Product[]; readonly projects: readonly Project[] },
): readonly PartTaking[] =>
  of.products.flatMap(({ id, projectId }) => {
    const project = of.projects.find(p => p.id === projectId);
    if (!project) return [];
    return (states.get(id)?.lines ?? [])
      .filter(l => l.entry.move === 'made')
      .flatMap(({ entry }) =>
        project.parts.map(({ partId, count }) => ({
          partId,
          count: count * entry.count,
          atMs: Date.parse(entry.at),
        })),
      );
  });

const ofClasses = (classes: readonly FeltClass[]): readonly PartTaking[] =>
  classes.flatMap(({ parts, packedAt, packedKits, back }) =>
    packedAt === null
      ? []
      : parts.flatMap(({ partId, count }) => [
          { partId, count: count * packedKits, atMs: Date.parse(packedAt) },
          ...(back ? [{ partId, count: -count * back.kits, atMs: Date.parse(back.at) }] : []),
        ]),
  );

/** How much of each part is left: what was counted, less what was put together or packed since; null where it was never counted. */
export const usePartsLeft = (): ((part: Part) => number | null) => {
  const projects = useProjects();
  const products = useLive(productKind);
  const classes = useLive(classKind);
  const { states } = useStock();
  return useMemo(() => {
    const known = projects ?? [];
    const takings = [
      ...ofProjects(known),
      ...ofLedger(states, { products: products ?? [], projects: known }),
      ...ofClasses(classes ?? []),
    ];
    return ({ id, counted, countedAt, createdAt }) =>
      counted === null
        ? null
        : takings
            .filter(t => t.partId === id && t.atMs > Date.parse(countedAt ?? createdAt))
            .reduce((left, t) => left - t.count, counted);
  }, [projects, products, classes, states]);
};

const partNeeds = (projects: readonly Project[]): readonly Need[] =>
  projects
    .filter(p => p.doneAt === null)
    .flatMap(p =>
      p.parts.flatMap(({ partId, count }) =>
        partId === null ? [] : [{ id: partId, amount: count, of: p.name }],
      ),
    );

/** Sums needs of wool and of parts against what is there. */
export const useNeedSums = (): {
  readonly wools: (needs: readonly Need[]) => readonly NeedSum[];
  readonly parts: (needs: readonly Need[]) => readonly NeedSum[];
} => {
  const wools = useWools();
  const parts = useParts();
  const gramsLeft = useGramsLeft();
  const partsLeft = usePartsLeft();
  return {
    wools: needs =>
      sumNeeds(needs, id => {
        const wool = wools.find(w => w.id === id);
        return wool ? gramsLeft(wool) : null;
      }),
    parts: needs =>
      sumNeeds(needs, id => {
        const part = parts.find(p => p.id === id);
        return part ? partsLeft(part) : null;
      }),
  };
};

/** What all that is planned and promised needs of wool and parts, against what is there; what is short first. */
export const useNeeds = (): { readonly wools: readonly NeedSum[]; readonly parts: readonly NeedSum[] } => {
  const pieces = usePieces();
  const projects = useProjects();
  const entries = useAllEntries();
  const sums = useNeedSums();
  const planned = useMemo(() => {
    const logs = logsSince(entries, 0);
    return (pieces ?? [])
      .filter(p => stageOf(benchLog(logs.get(p.id) ?? []), p.result.finishedAt) === 'planned')
      .flatMap(p => woolsLike(p, p.plan.pieces, p.name));
  }, [pieces, entries]);
  const lines = useLinesLeft();
  const all = useAllPieces();
  const products = useLive(productKind);
  const promised = useMemo(
    () =>
      lines.map(line => lineWants(line, { pieces: all, projects: projects ?? [], products: products ?? [] })),
    [lines, all, projects, products],
  );
  return {
    wools: sums.wools([...planned, ...promised.flatMap(p => p.wools)]),
    parts: sums.parts([...partNeeds(projects ?? []), ...promised.flatMap(p => p.parts)]),
  };
};
