import { useCallback } from 'react';
import { issueText } from '../words/issues';
import { download } from '../files/download';
import { type LongJob, useLongJob } from './useLongJob';
import { useNotify } from './notices';
import { useWorkshop } from './workshop';

/** What the file holds where the browser's own workshop could not be opened. */
const onlyThisTab = (ownPieces: number): string =>
  `This file has only what you typed in this tab: ${ownPieces} of your pieces. The workshop the browser could not open is not in it.`;

/** Saves the workshop, or a piece of it, to a file that was read back before it is handed over. */
export const useSaveFile = (): {
  readonly job: LongJob | null;
  /** @param pieceId the piece that is saved; null for the whole workshop  @param name what the file is called, by its ending */
  readonly save: (pieceId: string | null, name: (ending: string) => string) => void;
} => {
  const workshop = useWorkshop();
  const { tell, failed } = useNotify();
  const { job, run } = useLongJob(failed);
  const save = useCallback(
    (pieceId: string | null, name: (ending: string) => string): void =>
      run(async options => {
        const { nowIso, isKept, whole } = workshop;
        const ask = { pieceId, pictures: true, exportedAt: nowIso() };
        const { file: written, ownPieces } = await whole.save(ask, options);
        download(name(written.ending), written.type, written.bytes);
        if (pieceId === null) workshop.unsaved.saved(nowIso(), written.bytes.length);
        const said = [...written.remarks.map(issueText), ...(isKept ? [] : [onlyThisTab(ownPieces)])];
        if (said.length > 0) tell({ text: said.join(' ') });
      }),
    [workshop, tell, run],
  );
  return { job, save };
};
