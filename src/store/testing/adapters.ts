import { aSnapshot, LATER } from '../../records/testing/build';
import { planImport } from '../importing';
import { idbStore, memoryStore } from '../makeStore';
import type { Store } from '../store';
import { StoreError } from '../storeError';

export const clock = (): string => LATER;
let names = 0;
/** A name that no database of this process has yet. */
export const freshName = (): string => `test-${(names += 1)}`;
export const readIn = (store: Store, ...of: Parameters<typeof aSnapshot>) =>
  store.transact(planImport(aSnapshot(...of), LATER));
/** The code of the issue that a piece of work comes to. */
export const issueOf = async (work: Promise<unknown>): Promise<string> =>
  work.then(
    () => 'no issue',
    (error: unknown) => (error instanceof StoreError ? error.issue.code : String(error)),
  );

/** Every adapter: one list of promises is held by all of them. */
export const ADAPTERS: ReadonlyArray<readonly [string, () => Promise<Store>]> = [
  ['memory', async () => memoryStore(clock)],
  ['idb', () => idbStore({ name: freshName(), clock })],
];
