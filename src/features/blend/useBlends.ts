import { useRef, useState } from 'react';
import type { Fibre, Blend } from '../../core/colour/blend';
import { issueText } from '../../words/issues';
import { useNotify } from '../../session/notices';
import { useWorkshop } from '../../session/workshop';

const SHOWN = 6;

/** Looks for blends off the main thread; a new search ends the one before. */
export const useBlends = () => {
  const { tell } = useNotify();
  const { workers } = useWorkshop();
  const [found, setFound] = useState<{ readonly wanted: string; readonly recipes: readonly Blend[] } | null>(
    null,
  );
  const [stop, setStop] = useState<(() => void) | null>(null);
  const running = useRef<AbortController | null>(null);
  const find = async (wanted: string, shelf: readonly Fibre[]): Promise<void> => {
    running.current?.abort();
    const abort = new AbortController();
    running.current = abort;
    setStop(() => () => abort.abort());
    const got = await workers.long.run('blends', { wanted, shelf }, { signal: abort.signal });
    if (running.current !== abort) return;
    setStop(null);
    if (got.ok) setFound({ wanted, recipes: got.value.slice(0, SHOWN) });
    else if (!abort.signal.aborted) tell({ text: got.issues.map(issueText).join(' ') });
  };
  return { found, stop, find: (wanted: string, shelf: readonly Fibre[]) => void find(wanted, shelf) };
};
