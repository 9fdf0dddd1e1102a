import { useCallback, useState } from 'react';
import type { Issue } from '../core/issues';
import type { WorkshopFile } from '../files/fileTypes';
import { recordKey } from '../records/register';
import {
  type MergeChoice,
  compareWithFile,
  type Difference,
  planImport,
  type ImportResult,
} from '../store/importing';
import type { JobOptions } from '../workers/client';
import { useLongJob } from './useLongJob';
import { valueOf } from './jobError';
import { dismissLost } from './keepMarker';
import { useNotify } from './notices';
import { takeBackStep } from './takeBackStep';
import { useWorkshop } from './workshop';

/** A file that was read, and waits for what is to be taken of it. */
export interface ChosenFile {
  readonly file: WorkshopFile;
  readonly differences: readonly Difference[];
}

/** What came of choosing a file. */
export type FileReadOutcome =
  | { readonly is: 'refused'; readonly issues: readonly Issue[] }
  | ({ readonly is: 'asked' } & ChosenFile)
  | { readonly is: 'taken'; readonly report: ImportResult; readonly remarks: readonly Issue[] };

/** Whether somebody has to say what is to be taken: something here is otherwise than in the file, and not merely older. */
const isQuestion = ({ standing }: Difference): boolean => standing === 'older' || standing === 'deleted';

/** Reads workshop files in: what is new or newer at once, and asks where something was changed or deleted here since. */
export const useReadFile = () => {
  const workshop = useWorkshop();
  const { failed } = useNotify();
  const [came, setCame] = useState<FileReadOutcome | null>(null);

  const take = useCallback(
    async (file: WorkshopFile, choice: MergeChoice, { signal }: JobOptions): Promise<void> => {
      const { store, history, nowIso } = workshop;
      for (const { bytes, type } of file.attachments) {
        signal?.throwIfAborted();
        await store.attach(bytes, type);
      }
      // From here on it is taken whole.
      signal?.throwIfAborted();
      const report = await store.transact(planImport(file.snapshot, nowIso(), choice));
      history.push(takeBackStep(workshop, 'open a file', report.changed));
      dismissLost(workshop);
      setCame({ is: 'taken', report, remarks: file.remarks });
    },
    [workshop],
  );
  const read = useCallback(
    async (picked: File, options: JobOptions): Promise<void> => {
      const { store, workers, nowIso } = workshop;
      setCame(null);
      const bytes = new Uint8Array(await picked.arrayBuffer());
      const got = valueOf(await workers.long.run('readWorkshop', { bytes, at: nowIso() }, options));
      if (!got.ok) return setCame({ is: 'refused', issues: got.issues });
      const differences = compareWithFile(await store.snapshot(), got.value.snapshot);
      if (differences.some(isQuestion)) return setCame({ is: 'asked', file: got.value, differences });
      await take(got.value, new Map(), options);
    },
    [workshop, take],
  );
  const { job, run } = useLongJob(failed);
  return {
    came,
    job,
    onFile: (file: File): void => run(options => read(file, options)),
    /** @param taken keys of the records that are taken */
    onTake: ({ file, differences }: ChosenFile, taken: ReadonlySet<string>): void =>
      run(options =>
        take(file, new Map(differences.map(d => [recordKey(d), taken.has(recordKey(d))])), options),
      ),
    leave: (): void => setCame(null),
  };
};
