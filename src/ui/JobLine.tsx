import { Button } from './Button';

/** What goes on longer than a blink: what it is, how far it is, and a way to stop it. */
export const JobLine = (props: {
  readonly words: string;
  readonly job: { readonly percent: number | null; readonly stop: (() => void) | null };
}) => {
  const { words, job } = props;
  const { percent, stop } = job;
  return (
    <div className="mt-2 flex flex-wrap items-center gap-3">
      <p role="status">
        {words} …{percent === null ? '' : ` ${Math.round(percent)} %`}
      </p>
      {stop && <Button onClick={stop}>Stop</Button>}
    </div>
  );
};
