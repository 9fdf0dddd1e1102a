import { useCallback, useEffect, useState } from 'react';
import { issue } from '../core/issues';
import { PICTURE_TYPE } from '../workers/preparePicture';
import { issueNotice, useNotify } from './notices';
import { useWorkshop } from './workshop';

/** How a picture that is being taken in stands. */
export interface PictureProgress {
  readonly done: number;
  readonly of: number;
  readonly cancel: () => void;
}

/** Room that is left free for everything else, bytes. */
const FREE_BYTES = 30_000_000;

/** Whether the browser still has room for so many bytes; true where it does not say. */
const hasRoom = async (bytes: number): Promise<boolean> => {
  const { quota, usage } = (await navigator.storage?.estimate?.()) ?? {};
  return quota === undefined || usage === undefined || quota - usage > bytes + FREE_BYTES;
};

/** Takes pictures in: made ready in a worker, kept by their bytes, and put into the log of a piece. */
export const usePictures = (
  pieceId: string,
): { readonly take: (file: File) => void; readonly progress: PictureProgress | null } => {
  const { store, workers, outbox, chance, nowIso } = useWorkshop();
  const { tell, failed } = useNotify();
  const [progress, setProgress] = useState<PictureProgress | null>(null);
  const work = useCallback(
    async (file: File): Promise<void> => {
      if (!(await hasRoom(file.size))) return tell(issueNotice(issue('ROOM_SHORT', '')));
      const stop = new AbortController();
      const show = (done: number, of: number): void => setProgress({ done, of, cancel: () => stop.abort() });
      show(0, 3);
      const at = nowIso();
      const bytes = new Uint8Array(await file.arrayBuffer());
      const made = await workers.long.run('picture', { bytes }, { onProgress: show, signal: stop.signal });
      const ready = made.ok ? made.value : made;
      if (!ready.ok) {
        const [why] = ready.issues;
        return why && why.code !== 'CANCELLED' ? tell(issueNotice(why)) : undefined;
      }
      const { large, small } = ready.value;
      const hash = await store.attach(large.bytes, PICTURE_TYPE);
      const smallHash = await store.attach(small.bytes, PICTURE_TYPE);
      const { widthPx, heightPx } = large;
      const act = { kind: 'picture', hash, small: smallHash, widthPx, heightPx } as const;
      const refused = await outbox.send({ id: chance.newId(), pieceId, at, act });
      tell(refused ? issueNotice(refused) : { text: 'The picture is in the diary.' });
    },
    [store, workers, outbox, chance, nowIso, pieceId, tell],
  );
  const take = useCallback(
    (file: File): void => {
      work(file)
        .catch(failed)
        .finally(() => setProgress(null));
    },
    [work, failed],
  );
  return { take, progress };
};

/** The address of a kept picture, while it is shown; null while it is read, or where it is not there. */
export const usePictureUrl = (hash: string): string | null => {
  const { store } = useWorkshop();
  const [url, setUrl] = useState<string | null>(null);
  useEffect(() => {
    let made: string | null = null;
    let isOver = false;
    void store.attachment(hash).then(kept => {
      if (isOver || !kept) return;
      made = URL.createObjectURL(new Blob([new Uint8Array(kept.bytes)], { type: kept.type }));
      setUrl(made);
    });
    return () => {
      isOver = true;
      if (made !== null) URL.revokeObjectURL(made);
    };
  }, [store, hash]);
  return url;
};
