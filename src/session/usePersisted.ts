import { useQuery } from '@tanstack/react-query';

/** Whether the browser has promised to keep its storage when it runs short of room; null where it does not say. */
export const usePersisted = (): boolean | null => {
  const { data } = useQuery({
    queryKey: ['persisted'],
    queryFn: async () => {
      const { storage }: { readonly storage?: StorageManager } = navigator;
      return (await storage?.persisted?.()) ?? null;
    },
    staleTime: 0,
  });
  return data ?? null;
};
