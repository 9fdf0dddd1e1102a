import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { localDay } from '../../session/clock';
import { browserVersions } from '../../session/versions';
import { useNotify } from '../../session/notices';
import { useClearSample } from '../../session/useClearSample';
import { abilities } from '../../session/abilities';
import { useRoomShort } from '../../session/useRoomLeft';
import { useUnsaved } from '../../session/useUnsaved';
import { usePersisted } from '../../session/usePersisted';
import { useSummaries } from '../../session/useSummaries';
import { useReadFile } from '../../session/useReadFile';
import { useSaveFile } from '../../session/useSaveFile';
import { useUndo } from '../../session/useUndo';
import { useWorkshop } from '../../session/workshop';
import { Button, buttonClass } from '../../ui/Button';
import { JobLine } from '../../ui/JobLine';
import { useTitle } from '../../ui/useTitle';
import { ABILITY_WORDS } from '../../words/abilities';
import { roomWords, unsavedWords } from '../../words/unsaved';
import { Bin } from './Bin';
import { Cautions } from './Cautions';
import { DaysBack } from './DaysBack';
import { KeptCopy } from './KeptCopy';
import { ReadIn } from './ReadIn';

/** What the browser says of how long it keeps the workshop. */
const persistedWords = (persisted: boolean | null, isKept: boolean): string => {
  if (!isKept)
    return 'This browser is not saving anything at the moment: everything is gone when this tab closes, except what you save to a file.';
  if (persisted === true) return 'This browser has promised to keep the workshop. It is still the only copy.';
  return 'This browser may clear the workshop when it runs out of room. Save it to a file now and then.';
};

const Save = () => {
  const { nowIso, isKept, clock } = useWorkshop();
  const unsaved = useUnsaved();
  const { job, save } = useSaveFile();
  const persisted = usePersisted();
  const freeBytes = useRoomShort();
  return (
    <section aria-labelledby="out">
      <h2 id="out" className="border-t-2 border-ink pt-1 text-lg font-semibold">
        Save the workshop
      </h2>
      <p className="mb-2">
        Everything is stored in this browser. A file keeps it safe and takes it to another browser.
      </p>
      <Button
        look="main"
        disabled={job !== null}
        onClick={() => save(null, ending => `jorrit-workshop-${localDay(nowIso())}.${ending}`)}
      >
        Save to a file
      </Button>
      {job && <JobLine words="Saving" job={job} />}
      <p className="mt-2" role="status">
        {unsavedWords(
          unsaved.changes,
          unsaved.savedAt === null ? null : Date.parse(unsaved.savedAt),
          clock.nowMs(),
        )}
      </p>
      {freeBytes !== null && (
        <p role="alert" className="mt-2 border-l-4 border-wanted pl-3">
          {roomWords(freeBytes)}
        </p>
      )}
      <KeptCopy />
      <p className="mt-2 text-sm text-chalk">{persistedWords(persisted, isKept)}</p>
    </section>
  );
};

/** Keeps the application itself for when there is no network: asked for, since it takes room. */
const KeepOffline = () => {
  const { tell, failed } = useNotify();
  const { data: isKept, refetch } = useQuery({
    queryKey: ['offline'],
    queryFn: browserVersions.isKept,
    staleTime: 0,
  });
  if (isKept === undefined) return null;
  const keep = async (): Promise<void> => {
    if (await browserVersions.keep()) await refetch();
    else tell({ text: 'There is too little room here: free some first, or leave it.' });
  };
  return isKept ? (
    <p className="mt-2">Jorrit is kept here: it opens without a server or network.</p>
  ) : (
    <div className="mt-2">
      <Button onClick={() => void keep().catch(failed)}>Keep it for when there is no network</Button>
      <p className="mt-1 text-sm text-chalk">It takes about 10 MB. Not on a disk that is nearly full.</p>
    </div>
  );
};

/** What this browser gives at this address, and what it withholds. */
const Here = () => {
  const { isSafe, all } = abilities();
  const missing = all.filter(a => !a.isHere);
  return (
    <section aria-labelledby="here">
      <h2 id="here" className="border-t-2 border-ink pt-1 text-lg font-semibold">
        This browser
      </h2>
      {missing.length === 0 ? (
        <p>It gives all that Jorrit can use.</p>
      ) : (
        <>
          <p>{isSafe ? 'It does not know:' : 'At a plain address (http) browsers withhold:'}</p>
          <ul className="list-disc pl-6">
            {missing.map(a => (
              <li key={a.id}>{ABILITY_WORDS[a.id]}</li>
            ))}
          </ul>
          {!isSafe && (
            <p className="mt-1 text-sm text-chalk">
              On this computer itself, open it at 127.0.0.1; elsewhere in the house it takes an address with
              https.
            </p>
          )}
        </>
      )}
      {all.some(a => a.id === 'offline' && a.isHere) && <KeepOffline />}
    </section>
  );
};

const Recipes = () => (
  <section aria-labelledby="recipes">
    <h2 id="recipes" className="border-t-2 border-ink pt-1 text-lg font-semibold">
      Recipes
    </h2>
    <p className="mb-2">
      Pass one on from its piece, under <strong>Recipe card</strong>. Read one from a file, or from a printed
      card.
    </p>
    <Link to="/recipe" className={buttonClass('plain', 'dry')}>
      Read a recipe
    </Link>
  </section>
);

const Sample = () => {
  const { undo } = useUndo();
  const { tell, failed } = useNotify();
  const clear = useClearSample();
  const pieces = useSummaries().filter(s => s.isOfSample).length;
  const clearSample = (): void => {
    clear().then(
      () => tell({ text: 'The sample is cleared.', action: { label: 'Undo', run: undo } }),
      failed,
    );
  };
  return (
    <section aria-labelledby="sample">
      <h2 id="sample" className="border-t-2 border-ink pt-1 text-lg font-semibold">
        Sample workshop
      </h2>
      {pieces > 0 ? (
        <>
          <p className="mb-2">
            {pieces} made-up pieces are here to look at. Clearing them leaves your own pieces alone.
          </p>
          <Button onClick={clearSample}>Clear the sample</Button>
        </>
      ) : (
        <p>The sample is cleared.</p>
      )}
    </section>
  );
};

/** File: the whole workshop out and in, what was deleted, and the sample cleared. */
export const ExchangeView = () => {
  useTitle('File');
  const reading = useReadFile();
  return (
    <div className="min-h-0 flex-1 overflow-auto px-6 py-4">
      <h1 className="text-3xl font-semibold">File</h1>
      <div className="mt-3 grid max-w-4xl gap-x-12 gap-y-6 md:grid-cols-2">
        <Save />
        <ReadIn reading={reading} />
        <Recipes />
        <DaysBack onFile={reading.onFile} />
        <Sample />
        <Here />
        <Bin />
        <Cautions />
      </div>
    </div>
  );
};
