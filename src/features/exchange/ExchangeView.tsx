import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type Issue, ISSUES, issueText } from '../../core/issues';
import { download } from '../../files/download';
import { readWorkshopFile, writeWorkshopFile } from '../../files/workshopFile';
import { localDay, nowIso } from '../../session/clock';
import { history } from '../../session/history';
import { useNotify } from '../../session/notices';
import { type MergeReport, useStore } from '../../session/storeContext';
import { useAllPieces } from '../../session/useRecords';
import { useUndo } from '../../session/useUndo';
import { Button } from '../../ui/Button';
import { FileButton } from '../../ui/FileButton';
import { useTitle } from '../../ui/useTitle';
import { Cautions } from './Cautions';
import { sampleCounts } from './sampleCounts';

const MOST_ISSUES = 8;

const reportWords = (r: MergeReport): string =>
  `Read in: ${r.added} new, ${r.replaced} brought up to date, ${r.kept} already here; ${r.entriesAdded} log entries added.`;

const Refused = ({ issues }: { readonly issues: readonly Issue[] }) => (
  <div role="alert" className="mt-3 border-l-4 border-wanted pl-3">
    <p className="font-semibold">The file was refused. Nothing here was changed.</p>
    <ul>
      {issues.slice(0, MOST_ISSUES).map((it, i) => (
        <li key={i}>
          {issueText(it)} {ISSUES[it.code].remedy}
        </li>
      ))}
      {issues.length > MOST_ISSUES && <li>… and {issues.length - MOST_ISSUES} more.</li>}
    </ul>
  </div>
);

const useImport = () => {
  const store = useStore();
  const client = useQueryClient();
  const { failed } = useNotify();
  const [came, setCame] = useState<{ issues: readonly Issue[] } | { report: MergeReport } | null>(null);
  const read = async (file: File): Promise<void> => {
    const snapshot = readWorkshopFile(await file.text());
    if (!snapshot.ok) return setCame({ issues: snapshot.issues });
    const report = await store.merge(snapshot.value);
    await client.invalidateQueries();
    setCame({ report });
  };
  return { came, onFile: (file: File): void => void read(file).catch(failed) };
};

/** File: the whole workshop out and in, and the sample cleared. */
export const ExchangeView = () => {
  useTitle('File');
  const store = useStore();
  const { undo } = useUndo();
  const { tell, failed } = useNotify();
  const { came, onFile } = useImport();
  const sample = sampleCounts(useAllPieces());
  const save = (): void => {
    store
      .snapshot()
      .then(s =>
        download(
          `jorrit-workshop-${localDay(nowIso())}.json`,
          'application/json',
          writeWorkshopFile(s, nowIso()),
        ),
      )
      .catch(failed);
  };
  const clearSample = (): void => {
    store
      .snapshot()
      .then(async before => {
        await store.clear('sample');
        history.push({
          label: 'clear the sample',
          at: Date.now(),
          undo: () => store.merge(before),
          redo: () => store.clear('sample'),
        });
        tell({
          text: 'The sample is cleared.',
          action: { label: 'Undo', run: undo },
        });
      })
      .catch(failed);
  };
  return (
    <div className="min-h-0 flex-1 overflow-auto px-6 py-4">
      <h1 className="text-3xl font-semibold">File</h1>
      <div className="mt-3 grid max-w-4xl gap-x-12 gap-y-6 md:grid-cols-2">
        <section aria-labelledby="out">
          <h2 id="out" className="border-t-2 border-ink pt-1 text-lg font-semibold">
            Save the workshop
          </h2>
          <p className="mb-2">
            Everything lives in this browser. A file keeps it safe, and carries it to another browser.
          </p>
          <Button look="main" onClick={save}>
            Save to a file
          </Button>
        </section>
        <section aria-labelledby="in">
          <h2 id="in" className="border-t-2 border-ink pt-1 text-lg font-semibold">
            Read a file in
          </h2>
          <p className="mb-2">
            What is new is added, older records are brought up to date, logs are joined. A broken file changes
            nothing.
          </p>
          <FileButton accept=".json,application/json" onPick={onFile}>
            Choose a file
          </FileButton>
          {came && 'report' in came && (
            <p role="status" className="mt-3 border-l-4 border-ink pl-3">
              {reportWords(came.report)}
            </p>
          )}
          {came && 'issues' in came && <Refused issues={came.issues} />}
        </section>
        <section aria-labelledby="sample">
          <h2 id="sample" className="border-t-2 border-ink pt-1 text-lg font-semibold">
            Sample workshop
          </h2>
          {sample.pieces > 0 ? (
            <>
              <p className="mb-2">
                {sample.pieces} made-up pieces are here to look at. Clearing them leaves your own.
              </p>
              <Button onClick={clearSample}>Clear the sample</Button>
            </>
          ) : (
            <p>The sample is cleared.</p>
          )}
        </section>
        <Cautions />
      </div>
    </div>
  );
};
