import { useCallback, useState } from 'react';
import { issueText } from '../words/issues';
import { download } from '../files/download';
import { pieceKind } from '../records/piece';
import { KINDS } from '../records/kinds';
import { ofKind, type Snapshot } from '../records/snapshot';
import { namedAttachments } from '../store/attachments';
import { valueOf } from './jobError';
import { useNotify } from './notices';
import { useWorkshop, type Workshop } from './workshop';

const attachmentsOf = async ({ store }: Workshop, snapshot: Snapshot) => {
  const hashes = [...namedAttachments(snapshot, KINDS).keys()];
  const found = await Promise.all(hashes.map(hash => store.attachment(hash)));
  return found.filter(a => a !== null);
};

/** What the file holds where the browser's own workshop could not be opened. */
const onlyThisTab = (snapshot: Snapshot): string => {
  const count = ofKind(snapshot.records, pieceKind).filter(p => !p.sample && p.deletedAt === null).length;
  return `This file has only what you typed in this tab: ${count} of your pieces. The workshop the browser could not open is not in it.`;
};

/** Saves the workshop, or a part of it, to a file that was read back before it is handed over. */
export const useSaveFile = (): {
  readonly isSaving: boolean;
  /** @param part what of the workshop is saved  @param name what the file is called, by its ending */
  readonly save: (part: (all: Snapshot) => Snapshot, name: (ending: string) => string) => void;
} => {
  const workshop = useWorkshop();
  const { tell, failed } = useNotify();
  const [isSaving, setSaving] = useState(false);
  const save = useCallback(
    (part: (all: Snapshot) => Snapshot, name: (ending: string) => string): void => {
      const work = async (): Promise<void> => {
        const { store, workers, nowIso, isKept } = workshop;
        const all = await store.snapshot();
        const snapshot = part(all);
        const attachments = await attachmentsOf(workshop, snapshot);
        const ask = { snapshot, attachments, exportedAt: nowIso() };
        const written = valueOf(valueOf(await workers.long.run('writeWorkshop', ask)));
        download(name(written.ending), written.type, written.bytes);
        if (snapshot === all) workshop.unsaved.saved(nowIso());
        const said = [...written.remarks.map(issueText), ...(isKept ? [] : [onlyThisTab(snapshot)])];
        if (said.length > 0) tell({ text: said.join(' ') });
      };
      setSaving(true);
      work()
        .catch(failed)
        .finally(() => setSaving(false));
    },
    [workshop, tell, failed],
  );
  return { isSaving, save };
};
