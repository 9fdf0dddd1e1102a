import { issueText } from '../../words/issues';
import { download, fileName } from '../../files/download';
import type { Label } from '../../files/labelsPdf';
import { useNotify } from '../../session/notices';
import { useWorkshop } from '../../session/workshop';

/** Saves labels for piles as a PDF, made off the main thread. */
export const useLabels = (): ((labels: readonly Label[], title: string) => void) => {
  const { tell, failed } = useNotify();
  const { workers } = useWorkshop();
  return (labels, title) => {
    workers.long
      .run('labelsPdf', { labels, title })
      .then(made =>
        made.ok
          ? download(fileName(`${title} labels`, 'pdf'), 'application/pdf', made.value)
          : tell({ text: made.issues.map(issueText).join(' ') }),
      )
      .catch(failed);
  };
};
