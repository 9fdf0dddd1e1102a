import { useDeferredValue, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { shelfWorth } from '../../core/cost/shelfWorth';
import { issueText } from '../../words/issues';
import { download } from '../../files/download';
import { type ReadShelf, readShelfCsv, writeShelfCsv } from '../../files/shelfCsv';
import { newWool, SORTS } from '../../records/wool';
import { localDay } from '../../session/clock';
import { useWorkshop } from '../../session/workshop';
import { useNotify } from '../../session/notices';
import { useAddWool } from '../../session/useChanges';
import { useSettings, useWools } from '../../session/useRecords';
import { textOf } from '../../files/textOf';
import { useGramsLeft } from '../../session/useShelf';
import { useMoney } from '../../session/useWorkplace';
import { useShelfImport } from '../../session/useShelfImport';
import { calmly } from '../../ui/calmly';
import { Button, buttonClass } from '../../ui/Button';
import { Select, wordOptions } from '../../ui/Select';
import { FileButton } from '../../ui/FileButton';
import { TextField } from '../../ui/TextField';
import { useGradually } from '../../ui/useGradually';
import { useRoomy } from '../../ui/useRoomy';
import { useTitle } from '../../ui/useTitle';
import { ShelfList } from './ShelfList';
import { type Order, ORDERS, shelfRows, type Sort } from './shelfRows';
import { WoolDetail } from './WoolDetail';

const MOST_PROBLEMS = 8;

/** What came of a table that was read in: what was not taken as a figure, with its line. */
const Problems = ({ problems }: { readonly problems: ReadShelf['problems'] }) =>
  problems.length === 0 ? null : (
    <div role="alert" className="my-2 border-l-4 border-now pl-3 text-sm">
      <ul>
        {problems.slice(0, MOST_PROBLEMS).map((it, i) => (
          <li key={i}>{issueText(it)}</li>
        ))}
        {problems.length > MOST_PROBLEMS && <li>… and {problems.length - MOST_PROBLEMS} more.</li>}
      </ul>
      <p className="text-chalk">Anything that did not read as a number is in the notes of its wool.</p>
    </div>
  );

const useTable = () => {
  const put = useShelfImport();
  const { failed } = useNotify();
  const [problems, setProblems] = useState<ReadShelf['problems']>([]);
  const [said, setSaid] = useState<string | null>(null);
  const read = async (file: File): Promise<void> => {
    const text = textOf(new Uint8Array(await file.arrayBuffer()));
    const got = text.ok ? readShelfCsv(text.value) : text;
    setProblems(got.ok ? got.value.problems : got.issues);
    setSaid(null);
    if (!got.ok) return;
    const { added, changed } = await put(got.value.rows);
    setSaid(`Imported: ${added} new, ${changed} updated.`);
  };
  return { problems, said, onFile: (file: File): void => void read(file).catch(failed) };
};

/** What lies there is worth at what was paid for it. */
const Worth = () => {
  const wools = useWools().filter(w => w.deletedAt === null);
  const left = useGramsLeft();
  const { places, show } = useMoney();
  const { total, open } = shelfWorth(
    wools.map(w => ({ left: left(w), per100g: w.per100g })),
    places,
  );
  if (total === 0) return null;
  return (
    <p className="text-[13px] text-chalk">
      Worth {show(total)} by your prices
      {open > 0 && `; ${open} without a price or a count are not in it`}.
    </p>
  );
};

// What is typed to find it stands there before the rows do.
const CalmList = calmly(ShelfList);
const CalmWorth = calmly(Worth);
const CalmDetail = calmly(WoolDetail);

/** The shelf: wools, cloths and what decorates them; what is left of each and what it is expected to do. */
export const ShelfView = () => {
  useTitle('Shelf');
  const all = useWools();
  const { woolId } = useParams();
  const { units } = useSettings();
  const [find, setFind] = useState('');
  const [sort, setSort] = useState<Sort>('all');
  const [order, setOrder] = useState<Order>('name');
  const navigate = useNavigate();
  const addWool = useAddWool();
  const { failed } = useNotify();
  const { chance, nowIso } = useWorkshop();
  const roomy = useRoomy('lg');
  const table = useTable();
  const left = useGramsLeft();
  // The letters first, then what is found by them.
  const wanted = useDeferredValue(find);
  const rows = shelfRows(all, { find: wanted, sort, order, left });
  const asked = all.find(w => w.id === woolId && w.deletedAt === null);
  const chosen = asked ?? (roomy ? rows[0] : undefined);
  // Another wool is told of a frame after it is chosen in the list; the same one at once.
  const toldId = useGradually(chosen?.id, 2)(1);
  const told = chosen?.id === toldId ? chosen : all.find(w => w.id === toldId && w.deletedAt === null);
  const add = (): void => {
    const id = chance.newId();
    addWool(newWool({ id, name: 'New wool', fibre: '', form: 'batt', colour: '#8a949a', now: nowIso() }))
      .then(() => navigate(`/shelf/${id}`))
      .catch(failed);
  };
  const save = (): void =>
    download(
      `jorrit-shelf-${localDay(nowIso())}.csv`,
      'text/csv',
      writeShelfCsv(
        all.filter(w => w.deletedAt === null),
        left,
      ),
    );
  return (
    <div className="flex min-h-0 flex-1 flex-col overflow-auto lg:flex-row lg:overflow-hidden">
      {(roomy || !asked) && (
        <section
          aria-label="On the shelf"
          className="isolate flex min-h-0 flex-1 flex-col px-4 py-3 lg:w-[27rem] lg:flex-none lg:border-r-2 lg:border-ink"
        >
          <div className="flex items-center gap-3">
            <h1 className="flex-1 text-3xl font-semibold">Shelf</h1>
            <Button look="main" onClick={add}>
              Add a wool
            </Button>
          </div>
          <CalmWorth />
          <div className="my-2 flex flex-wrap items-end gap-3">
            <TextField className="w-32" label="Find" value={find} onText={setFind} />
            <Select
              label="Show"
              value={sort}
              options={wordOptions(['all', ...SORTS] as const)}
              onPick={setSort}
            />
            <Select
              label="Sort by"
              value={order}
              options={wordOptions(ORDERS.map(o => o.value))}
              onPick={setOrder}
            />
          </div>
          {rows.length === 0 ? (
            <p className="max-w-prose flex-1">
              {all.some(w => w.deletedAt === null)
                ? 'Nothing found on the shelf.'
                : 'No wool here yet. Add one, or import a table. Choose it in a plan; when the piece is finished, Jorrit learns how much it shrinks.'}
            </p>
          ) : (
            <CalmList wools={rows} chosen={chosen?.id ?? null} units={units} />
          )}
          {table.said && <p role="status">{table.said}</p>}
          <Problems problems={table.problems} />
          <div className="mt-2 flex flex-wrap gap-2">
            <Button onClick={save}>Save as CSV</Button>
            <Link to="/parts" className={buttonClass('plain', 'dry')}>
              Parts
            </Link>
            <Link to="/blend" className={buttonClass('plain', 'dry')}>
              Blend a colour
            </Link>
            <FileButton accept=".csv,text/csv" onPick={table.onFile}>
              Import a CSV
            </FileButton>
          </div>
        </section>
      )}
      {told && (
        <section
          aria-label="This wool"
          className="isolate min-w-0 flex-1 bg-steam px-6 py-4 lg:overflow-y-auto"
        >
          {!roomy && (
            <Link to="/shelf" className={`${buttonClass('plain', 'dry')} mb-3`}>
              Whole shelf
            </Link>
          )}
          <CalmDetail key={told.id} wool={told} />
        </section>
      )}
    </div>
  );
};
