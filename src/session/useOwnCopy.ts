import { createContext, use, useSyncExternalStore } from 'react';
import type { CopyStanding, OwnCopy } from './ownCopy';

const NO_COPY: OwnCopy = {
  get: () => NONE,
  subscribe: () => () => undefined,
  choose: async () => undefined,
  allow: async () => undefined,
  stop: async () => undefined,
};
const NONE: CopyStanding = { is: 'none' };

export const OwnCopyContext = createContext<OwnCopy>(NO_COPY);

/** The copy that keeps itself, and how it stands. */
export const useOwnCopy = (): { readonly copy: OwnCopy; readonly standing: CopyStanding } => {
  const copy = use(OwnCopyContext);
  return { copy, standing: useSyncExternalStore(copy.subscribe, copy.get) };
};
