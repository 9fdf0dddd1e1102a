import { fileURLToPath } from 'node:url';

/** What the bundler knows of a module. */
type InfoOf = (id: string) => { readonly importedIds: readonly string[] } | null;

/** What the first view is made of: these, and whatever they import. */
const STARTS = ['../src/app/main.tsx', '../src/features/workshop/WorkshopView.tsx'].map(path =>
  fileURLToPath(new URL(path, import.meta.url)),
);

/**
 * Answers whether a module comes with the first view, and not with what is fetched later. A group of the bundle that mixed the two would
 * bring the whole application with the first view.
 */
export const firstView = (): ((id: string, info: InfoOf) => boolean) => {
  let reached: Set<string> | null = null;
  const reach = (info: InfoOf): Set<string> => {
    const found = new Set<string>();
    const open = [...STARTS];
    for (let id = open.pop(); id !== undefined; id = open.pop()) {
      if (found.has(id)) continue;
      found.add(id);
      open.push(...(info(id)?.importedIds ?? []));
    }
    return found;
  };
  return (id, info) => {
    reached ??= reach(info);
    return reached.has(id);
  };
};
