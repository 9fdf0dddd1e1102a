import { useMemo } from 'react';
import { stageOf } from '../core/log/stageOf';
import { benchLog } from '../core/log/logParts';
import { planOf } from '../core/plan/planOf';
import { type Need, type NeedSum, sumNeeds } from '../core/project/needs';
import { pileList } from '../core/wool/pileList';
import type { Part } from '../records/part';
import { type Piece, pieceWools } from '../records/piece';
import type { Project } from '../records/project';
import { logsSince } from './logsSince';
import { useAllEntries, useParts, usePieces, useProjects, useWools } from './useRecords';
import { useGramsLeft } from './useShelf';

/** How much of each part is left: what was counted, less what was put together since; null where it was never counted. */
export const usePartsLeft = (): ((part: Part) => number | null) => {
  const projects = useProjects();
  return useMemo(() => {
    const done = (projects ?? []).filter(p => p.doneAt !== null);
    return ({ id, counted, countedAt }) =>
      counted === null
        ? null
        : done
            .filter(p => Date.parse(p.doneAt ?? '') > Date.parse(countedAt ?? p.createdAt))
            .flatMap(p => p.parts)
            .reduce((left, used) => (used.partId === id ? left - used.count : left), counted);
  }, [projects]);
};

/** Grams of each wool that a piece is planned of. */
const woolNeeds = (piece: Piece): readonly Need[] => {
  const plan = planOf(piece.plan);
  if (!plan.ok || !plan.value.weigh) return [];
  const { weigh } = plan.value;
  const piles = pileList(weigh, pieceWools(piece));
  const times = weigh.times / (piles.at(-1)?.piece ?? 1);
  return piles.flatMap(({ woolId, grams }) =>
    woolId === null ? [] : [{ id: woolId, amount: grams * times, of: piece.name }],
  );
};

const partNeeds = (projects: readonly Project[]): readonly Need[] =>
  projects
    .filter(p => p.doneAt === null)
    .flatMap(p =>
      p.parts.flatMap(({ partId, count }) =>
        partId === null ? [] : [{ id: partId, amount: count, of: p.name }],
      ),
    );

/** What all that is planned needs of wool and parts, against what is there; what is short first. */
export const useNeeds = (): { readonly wools: readonly NeedSum[]; readonly parts: readonly NeedSum[] } => {
  const pieces = usePieces();
  const projects = useProjects();
  const entries = useAllEntries();
  const wools = useWools();
  const parts = useParts();
  const gramsLeft = useGramsLeft();
  const partsLeft = usePartsLeft();
  const planned = useMemo(() => {
    const logs = logsSince(entries, 0);
    return (pieces ?? [])
      .filter(p => stageOf(benchLog(logs.get(p.id) ?? []), p.result.finishedAt) === 'planned')
      .flatMap(woolNeeds);
  }, [pieces, entries]);
  return {
    wools: sumNeeds(planned, id => {
      const wool = wools.find(w => w.id === id);
      return wool ? gramsLeft(wool) : null;
    }),
    parts: sumNeeds(partNeeds(projects ?? []), id => {
      const part = parts.find(p => p.id === id);
      return part ? partsLeft(part) : null;
    }),
  };
};
