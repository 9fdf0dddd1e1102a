import { useCallback } from 'react';
import { issueText } from '../words/issues';
import { download } from '../files/download';
import { pieceKind } from '../records/piece';
import { ofKind, type Snapshot } from '../records/snapshot';
import { type LongJob, useLongJob } from './useLongJob';
import { useNotify } from './notices';
import { useWorkshop } from './workshop';
import { writtenFile } from './writtenFile';

/** What the file holds where the browser's own workshop could not be opened. */
const onlyThisTab = (snapshot: Snapshot): string => {
  const count = ofKind(snapshot.records, pieceKind).filter(p => !p.sample && p.deletedAt === null).length;
  return `This file has only what you typed in this tab: ${count} of your pieces. The workshop the browser could not open is not in it.`;
};

/** Saves the workshop, or a part of it, to a file that was read back before it is handed over. */
export const useSaveFile = (): {
  readonly job: LongJob | null;
  /** @param part what of the workshop is saved  @param name what the file is called, by its ending */
  readonly save: (part: (all: Snapshot) => Snapshot, name: (ending: string) => string) => void;
} => {
  const workshop = useWorkshop();
  const { tell, failed } = useNotify();
  const { job, run } = useLongJob(failed);
  const save = useCallback(
    (part: (all: Snapshot) => Snapshot, name: (ending: string) => string): void =>
      run(async options => {
        const { nowIso, isKept } = workshop;
        const { file: written, snapshot, isAll } = await writtenFile(workshop, { part, job: options });
        download(name(written.ending), written.type, written.bytes);
        if (isAll) workshop.unsaved.saved(nowIso(), written.bytes.length);
        const said = [...written.remarks.map(issueText), ...(isKept ? [] : [onlyThisTab(snapshot)])];
        if (said.length > 0) tell({ text: said.join(' ') });
      }),
    [workshop, tell, run],
  );
  return { job, save };
};
