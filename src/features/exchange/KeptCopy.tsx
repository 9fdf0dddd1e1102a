import { localMoment } from '../../session/clock';
import { useNotify } from '../../session/notices';
import { useOwnCopy } from '../../session/useOwnCopy';
import { Button } from '../../ui/Button';

/** A copy that keeps itself in a file of the maker's choosing, where the browser can; and how it stands. */
export const KeptCopy = () => {
  const { copy, standing } = useOwnCopy();
  const { failed } = useNotify();
  // Who closes the chooser without choosing has changed nothing.
  const choose = (): void =>
    void copy.choose().catch((error: unknown) => {
      if (!(error instanceof DOMException && error.name === 'AbortError')) failed(error);
    });
  if (standing.is === 'none') return null;
  if (standing.is === 'off')
    return (
      <div className="mt-3">
        <Button onClick={choose}>Keep a copy in a file by itself</Button>
        <p className="mt-1 text-sm text-chalk">
          Written at the end of each sitting, and when you leave the page. Choose a place that is backed up.
        </p>
      </div>
    );
  return (
    <div className="mt-3 border-l-4 border-ink pl-3" role="status">
      {standing.is === 'on' && (
        <p>
          A copy keeps itself in <strong>{standing.name}</strong>
          {standing.writtenAt !== null && `, last on ${localMoment(Date.parse(standing.writtenAt))}`}.
        </p>
      )}
      {standing.is === 'ask' && (
        <p>
          The browser wants to be asked again before it writes to <strong>{standing.name}</strong>.
        </p>
      )}
      {standing.is === 'failed' && (
        <p className="font-semibold text-wanted">
          The copy in {standing.name} could not be written. Choose another file, or save one now. (
          {standing.why})
        </p>
      )}
      <div className="mt-1 flex flex-wrap gap-2">
        {standing.is === 'ask' && (
          <Button look="main" onClick={() => void copy.allow().catch(failed)}>
            Allow it again
          </Button>
        )}
        <Button onClick={choose}>Another file</Button>
        <Button look="bare" onClick={() => void copy.stop().catch(failed)}>
          No copy any more
        </Button>
      </div>
    </div>
  );
};
