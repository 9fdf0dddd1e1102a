import { useEffect, useRef, useState } from 'react';
import type { WayToLay } from '../../core/evenness/waysToLay';
import type { Rows } from '../../core/evenness/shingle';
import type { Polygon } from '../../core/outline/polygon';
import { issueText } from '../../words/issues';
import { useNotify } from '../../session/notices';
import { useWorkshop } from '../../session/workshop';
import type { Jobs } from '../../workers/protocol';

export type EvennessResult = Jobs['evenness']['answer'];

/** Enough layouts for a steady mean of the holes; each takes milliseconds for a piece of a hand's size. */
const RUNS = 6;
const SEED = 20;

/** Simulates ways of laying, off the main thread, with progress and cancel. What was laid is let go when the plan changes. */
export const useEvenness = (of: { readonly rings: readonly Polygon[]; readonly plannedGsm: number }) => {
  const { tell } = useNotify();
  const { workers } = useWorkshop();
  const [laid, setLaid] = useState<{
    readonly of: typeof of.rings;
    readonly all: ReadonlyArray<WayToLay & EvennessResult>;
    readonly rows: Rows | null;
  } | null>(null);
  const [progress, setProgress] = useState<{ done: number; of: number; stop: () => void } | null>(null);
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), []);
  const run = async (ways: readonly WayToLay[], rows: Rows | null): Promise<void> => {
    const abort = new AbortController();
    running.current = abort;
    const all: Array<WayToLay & EvennessResult> = [];
    for (const [i, way] of ways.entries()) {
      const total = ways.length * RUNS;
      const got = await workers.long.run(
        'evenness',
        {
          rings: of.rings,
          plannedGsm: of.plannedGsm,
          layers: way.layers,
          hand: way.hand,
          rows,
          seed: SEED,
          runs: RUNS,
        },
        {
          signal: abort.signal,
          onProgress: done => setProgress({ done: i * RUNS + done, of: total, stop: () => abort.abort() }),
        },
      );
      if (!got.ok) {
        if (!abort.signal.aborted) tell({ text: got.issues.map(issueText).join(' ') });
        return setProgress(null);
      }
      all.push({ ...way, ...got.value });
    }
    setProgress(null);
    setLaid({ of: of.rings, all, rows });
  };
  const current = laid && laid.of === of.rings ? laid.all : [];
  return {
    laid: current,
    progress,
    run: (ways: readonly WayToLay[], rows: Rows | null) => void run(ways, rows),
    /** How the rows of the picture were laid; null for wisps at random. */
    laidIn: laid?.rows ?? null,
    clear: () => setLaid(null),
  };
};
