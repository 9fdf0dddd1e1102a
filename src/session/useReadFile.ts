import { useCallback, useState } from 'react';
import { recordKey } from '../records/register';
import type { Difference, MergeChoice } from '../store/importing';
import type { JobOptions } from '../workers/client';
import type { OpenOutcome } from '../workers/wholeWork';
import type { HistoryStep } from './history';
import { useLongJob } from './useLongJob';
import { dismissLost } from './keepMarker';
import { useNotify } from './notices';
import { useWorkshop, type Workshop } from './workshop';

/** A file that was read, and waits for what is to be taken of it. */
export interface ChosenFile {
  readonly file: File;
  readonly differences: readonly Difference[];
}

/** What came of choosing a file. */
export type FileReadOutcome =
  | Exclude<OpenOutcome, { readonly is: 'asked' }>
  | ({ readonly is: 'asked' } & ChosenFile);

/** The step of the history that takes a reading back, and brings it again. */
const readingStep = ({ whole, clock, nowIso }: Workshop, taken: Uint8Array): HistoryStep => {
  let now = taken;
  const turn = async (): Promise<number> => {
    const { overtaken, back } = await whole.takeBack({ back: now, at: nowIso() });
    now = back;
    return overtaken;
  };
  return { label: 'open a file', at: clock.nowMs(), undo: turn, redo: turn };
};

/** Reads workshop files in: what is new or newer at once, and asks where something was changed or deleted here since. */
export const useReadFile = () => {
  const workshop = useWorkshop();
  const { failed } = useNotify();
  const [came, setCame] = useState<FileReadOutcome | null>(null);

  const read = useCallback(
    async (file: File, choice: MergeChoice | null, options: JobOptions): Promise<void> => {
      const { whole, history, nowIso } = workshop;
      if (!choice) setCame(null);
      const got = await whole.open({ file, at: nowIso(), choice }, options);
      if (got.is === 'asked') return setCame({ ...got, file });
      if (got.is === 'taken') {
        history.push(readingStep(workshop, got.report.back));
        dismissLost(workshop);
      }
      setCame(got);
    },
    [workshop],
  );
  const { job, run } = useLongJob(failed);
  return {
    came,
    job,
    onFile: (file: File): void => run(options => read(file, null, options)),
    /** @param taken keys of the records that are taken */
    onTake: ({ file, differences }: ChosenFile, taken: ReadonlySet<string>): void =>
      run(options =>
        read(file, new Map(differences.map(d => [recordKey(d), taken.has(recordKey(d))])), options),
      ),
    leave: (): void => setCame(null),
  };
};
