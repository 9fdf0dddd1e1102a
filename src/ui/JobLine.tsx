import { Button } from './Button';

/** What goes on longer than a blink: what it is, how far it is, and a way to stop it. */
export const JobLine = (props: {
  readonly words: string;
  readonly job: {
    readonly progress: { readonly done: number; readonly of: number } | null;
    readonly stop: () => void;
  };
}) => {
  const { words, job } = props;
  const { progress, stop } = job;
  return (
    <div className="mt-2 flex flex-wrap items-center gap-3">
      <p role="status">
        {words} …{progress && progress.of > 1 ? ` ${progress.done} of ${progress.of}` : ''}
      </p>
      <Button onClick={stop}>Stop</Button>
    </div>
  );
};
