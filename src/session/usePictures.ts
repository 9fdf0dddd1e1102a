import { freeBytes } from './freeBytes';
import { useCallback, useEffect, useState } from 'react';
import { type Issue, issue } from '../core/issues';
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
  const free = await freeBytes();
  return free === null || free > bytes + FREE_BYTES;
};

/** A kept picture, as records and logs name it. */
interface KeptPicture {
  readonly hash: string;
  readonly small: string;
  readonly widthPx: number;
  readonly heightPx: number;
}

/** Makes pictures ready in a worker and keeps them by their bytes; says how far it is, and can be stopped. */
export const usePrepared = (): {
  readonly prepare: (file: Blob, then: (picture: KeptPicture) => void) => void;
  readonly progress: PictureProgress | null;
} => {
  const { store, workers } = useWorkshop();
  const { tell, failed } = useNotify();
  const [progress, setProgress] = useState<PictureProgress | null>(null);
  const work = useCallback(
    async (file: Blob): Promise<KeptPicture | null> => {
      const refused = (why: Issue | undefined): null => {
        if (why && why.code !== 'CANCELLED') tell(issueNotice(why));
        return null;
      };
      if (!(await hasRoom(file.size))) return refused(issue('ROOM_SHORT', ''));
      const stop = new AbortController();
      const show = (done: number, of: number): void => setProgress({ done, of, cancel: () => stop.abort() });
      show(0, 3);
      const bytes = new Uint8Array(await file.arrayBuffer());
      const made = await workers.long.run('picture', { bytes }, { onProgress: show, signal: stop.signal });
      const ready = made.ok ? made.value : made;
      if (!ready.ok) return refused(ready.issues[0]);
      const { large, small } = ready.value;
      const hash = await store.attach(large.bytes, PICTURE_TYPE);
      const smallHash = await store.attach(small.bytes, PICTURE_TYPE);
      return { hash, small: smallHash, widthPx: large.widthPx, heightPx: large.heightPx };
    },
    [store, workers, tell],
  );
  const prepare = useCallback(
    (file: Blob, then: (picture: KeptPicture) => void): void => {
      work(file)
        .then(picture => picture && then(picture))
        .catch(failed)
        .finally(() => setProgress(null));
    },
    [work, failed],
  );
  return { prepare, progress };
};

/** Takes pictures into the log of a piece. */
export const usePictures = (
  pieceId: string,
): {
  readonly take: (file: Blob, onKept?: () => void) => void;
  readonly progress: PictureProgress | null;
} => {
  const { outbox, chance, nowIso } = useWorkshop();
  const { tell } = useNotify();
  const { prepare, progress } = usePrepared();
  const take = useCallback(
    (file: Blob, onKept?: () => void): void => {
      const at = nowIso();
      prepare(file, picture => {
        void outbox
          .send({ id: chance.newId(), pieceId, at, act: { kind: 'picture', ...picture } })
          .then(refused => {
            tell(refused ? issueNotice(refused) : { text: 'The picture is in the diary.' });
            if (!refused) onKept?.();
          });
      });
    },
    [outbox, chance, nowIso, pieceId, prepare, tell],
  );
  return { take, progress };
};

/** The address of a kept picture, while it is shown; null while it is read, or where it is not there. */
export const usePictureUrl = (hash: string): string | null => {
  const { store } = useWorkshop();
  const [shown, setShown] = useState<{ readonly of: string; readonly url: string } | null>(null);
  useEffect(() => {
    let made: string | null = null;
    let isOver = false;
    const read = async (): Promise<void> => {
      const kept = hash === '' ? null : await store.attachment(hash);
      if (isOver || !kept) return;
      made = URL.createObjectURL(new Blob([new Uint8Array(kept.bytes)], { type: kept.type }));
      setShown({ of: hash, url: made });
    };
    // A picture that cannot be read is not shown; what stands round it is.
    read().catch(() => undefined);
    return () => {
      isOver = true;
      if (made !== null) URL.revokeObjectURL(made);
    };
  }, [store, hash]);
  return shown?.of === hash ? shown.url : null;
};
