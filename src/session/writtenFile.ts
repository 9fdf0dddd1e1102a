import type { WrittenFile } from '../files/fileTypes';
import { KINDS } from '../records/kinds';
import type { Snapshot } from '../records/snapshot';
import { namedAttachments } from '../store/attachments';
import type { JobOptions } from '../workers/client';
import { valueOf } from './jobError';
import type { Workshop } from './workshop';

const attachmentsOf = async ({ store }: Workshop, snapshot: Snapshot) => {
  const hashes = [...namedAttachments(snapshot, KINDS).keys()];
  const found = await Promise.all(hashes.map(hash => store.attachment(hash)));
  return found.filter(a => a !== null);
};

/** What goes into a file. */
export interface WrittenParts {
  readonly part?: (all: Snapshot) => Snapshot;
  readonly pictures?: boolean;
  readonly job?: JobOptions;
}

/**
 * The workshop, or a part of it, as a file that was read back, pictures and all; written in the worker. Throws a `JobError`.
 * @param part what of the workshop is written  @param pictures false to leave them where they are, and write their names only
 */
export const writtenFile = async (
  workshop: Workshop,
  { part = all => all, pictures = true, job }: WrittenParts = {},
): Promise<{ readonly file: WrittenFile; readonly snapshot: Snapshot; readonly isAll: boolean }> => {
  const { store, workers, nowIso } = workshop;
  const all = await store.snapshot();
  const snapshot = part(all);
  const attachments = pictures ? await attachmentsOf(workshop, snapshot) : [];
  const ask = { snapshot, attachments, exportedAt: nowIso() };
  const file = valueOf(valueOf(await workers.long.run('writeWorkshop', ask, job)));
  // On a full disk the file is what matters; without the note an older version may later be kept beside a newer, no more.
  await store.noteSent(snapshot.records).catch(() => undefined);
  return { file, snapshot, isAll: snapshot === all };
};
