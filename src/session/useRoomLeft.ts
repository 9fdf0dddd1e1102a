import { useQuery } from '@tanstack/react-query';
import { freeBytes } from './freeBytes';
import { useUnsaved } from './useUnsaved';

/** So much must be free at least, bytes: what a browser needs to go on writing. Common practice. */
const LEAST_FREE = 50 * 1024 * 1024;
/** And so many times what the workshop takes as a file: it is written beside itself before it takes its own place. */
const TIMES_FILE = 5;
const LOOKS_MS = 5 * 60_000;

/**
 * Whether room runs short, by what the browser says and how large the last file was.
 * @param of.freeBytes null where the browser does not say
 * @param of.fileBytes size of the last file, bytes; null before one was saved
 */
export const isShort = (of: {
  readonly freeBytes: number | null;
  readonly fileBytes: number | null;
}): boolean => of.freeBytes !== null && of.freeBytes < Math.max(LEAST_FREE, TIMES_FILE * (of.fileBytes ?? 0));

/** Free bytes where room runs short; null as long as there is enough, or the browser does not say. */
export const useRoomShort = (): number | null => {
  const { fileBytes } = useUnsaved();
  const { data = null } = useQuery({
    queryKey: ['room'],
    queryFn: freeBytes,
    staleTime: LOOKS_MS,
    refetchInterval: LOOKS_MS,
  });
  return isShort({ freeBytes: data, fileBytes }) ? data : null;
};
