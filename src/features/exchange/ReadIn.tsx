import { useState } from 'react';
import type { Issue } from '../../core/issues';
import { ISSUES, issueText } from '../../words/issues';
import { recordKey } from '../../records/register';
import type { ChosenFile, useReadFile } from '../../session/useReadFile';
import { useUndo } from '../../session/useUndo';
import type { Difference, RecordComparison } from '../../store/importing';
import type { TakenIn } from '../../workers/wholeWork';
import { Button } from '../../ui/Button';
import { JobLine } from '../../ui/JobLine';
import { FileButton } from '../../ui/FileButton';

const MOST_ISSUES = 8;

const reportWords = (r: TakenIn): string =>
  `Opened: ${r.added} new, ${r.replaced} updated, ${r.kept} already here; ${r.entriesAdded} log entries added.`;

const STANDING: Readonly<Record<RecordComparison, string>> = {
  new: 'not here yet',
  newer: 'the file has a newer one',
  older: 'changed here since: taking it goes back to the file’s version',
  deleted: 'deleted here: taking it brings it back',
  same: 'the same here',
};
const KIND: ReadonlyMap<string, string> = new Map([
  ['wool', 'wool on the shelf'],
  ['stockEntry', 'line of the stock'],
  ['workplace', ''],
]);

const Issues = ({ issues }: { readonly issues: readonly Issue[] }) => (
  <ul>
    {issues.slice(0, MOST_ISSUES).map((it, i) => (
      <li key={i}>
        {issueText(it)} {ISSUES[it.code].remedy}
      </li>
    ))}
    {issues.length > MOST_ISSUES && <li>… and {issues.length - MOST_ISSUES} more.</li>}
  </ul>
);

const Refused = ({ issues }: { readonly issues: readonly Issue[] }) => (
  <div role="alert" className="mt-3 border-l-4 border-wanted pl-3">
    <p className="font-semibold">The file could not be opened. Nothing here was changed.</p>
    <Issues issues={issues} />
  </div>
);

const Row = (props: {
  readonly of: Difference;
  readonly taken: boolean;
  readonly onTaken: (taken: boolean) => void;
}) => {
  const { name, kind, standing, entries } = props.of;
  return (
    <li className="border-b border-rim">
      <label className="flex min-h-11 items-center gap-3 py-1">
        <input
          type="checkbox"
          className="size-5 accent-ink"
          checked={props.taken}
          onChange={e => props.onTaken(e.target.checked)}
        />
        <span className="flex-1">
          <span className="font-semibold">{name}</span>{' '}
          <span className="text-chalk">{KIND.get(kind) ?? kind}</span>
          <span className="block text-sm">
            {STANDING[standing]}
            {entries > 0 && `; ${entries} log entries`}
          </span>
        </span>
      </label>
    </li>
  );
};

/** What a file holds beside what is here: for each, whether it is taken. */
const Asked = (props: {
  readonly chosen: ChosenFile;
  readonly onTake: (taken: ReadonlySet<string>) => void;
  readonly onLeave: () => void;
}) => {
  const { differences } = props.chosen;
  const [taken, setTaken] = useState<ReadonlySet<string>>(
    () => new Set(differences.filter(d => d.usual).map(recordKey)),
  );
  const rows = differences.filter(d => d.standing !== 'same');
  const same = differences.length - rows.length;
  const put = (d: Difference, on: boolean): void => {
    const next = new Set(taken);
    if (on) next.add(recordKey(d));
    else next.delete(recordKey(d));
    setTaken(next);
  };
  const count = rows.filter(d => taken.has(recordKey(d))).length;
  return (
    <section aria-label="What to take" className="mt-3 border-l-4 border-ink pl-3">
      <p className="font-semibold">
        Some of this was changed or deleted here since. What should be taken from the file?
      </p>
      <ul className="max-h-80 overflow-y-auto">
        {rows.map(d => (
          <Row key={recordKey(d)} of={d} taken={taken.has(recordKey(d))} onTaken={on => put(d, on)} />
        ))}
      </ul>
      {same > 0 && <p className="text-sm text-chalk">{same} more are the same here.</p>}
      <div className="mt-2 flex gap-2">
        {count > 0 && (
          <Button look="main" onClick={() => props.onTake(taken)}>
            Take {count}
          </Button>
        )}
        <Button onClick={props.onLeave}>Take nothing</Button>
      </div>
    </section>
  );
};

/** Reads a workshop file in, with a choice where something here is otherwise, and an undo of all of it. */
export const ReadIn = ({ reading }: { readonly reading: ReturnType<typeof useReadFile> }) => {
  const { came, job, onFile, onTake, leave } = reading;
  const { undo } = useUndo();
  return (
    <section aria-labelledby="in">
      <h2 id="in" className="border-t-2 border-ink pt-1 text-lg font-semibold">
        Open a file
      </h2>
      <p className="mb-2">
        New things are added, older ones are updated, and logs are joined. A broken file changes nothing.
      </p>
      <FileButton accept=".json,.zip,application/json,application/zip" onPick={onFile}>
        Choose a file
      </FileButton>
      {job && <JobLine words="Opening the file" job={job} />}
      {came?.is === 'refused' && <Refused issues={came.issues} />}
      {came?.is === 'asked' && <Asked chosen={came} onTake={taken => onTake(came, taken)} onLeave={leave} />}
      {came?.is === 'taken' && (
        <div role="status" className="mt-3 border-l-4 border-ink pl-3">
          <p>{reportWords(came.report)}</p>
          {came.report.beside > 0 && (
            <p>
              {came.report.beside === 1 ? 'One was' : `${came.report.beside} were`} changed here and elsewhere
              apart from one another: the later version stays, the other is in the bin.
            </p>
          )}
          {came.report.unread > 0 && <p>{came.report.unread} could not be read and are kept as they are.</p>}
          {came.remarks.length > 0 && <Issues issues={came.remarks} />}
          <Button
            className="mt-1"
            onClick={() => {
              leave();
              undo();
            }}
          >
            Undo opening it
          </Button>
        </div>
      )}
    </section>
  );
};
