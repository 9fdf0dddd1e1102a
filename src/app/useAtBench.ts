import { useLocation } from 'react-router';

/** Whether the bench is shown: there undo means the log, and nothing else is undone or deleted unseen. */
export const useAtBench = (): boolean => useLocation().pathname.endsWith('/bench');
