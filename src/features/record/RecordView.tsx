import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { duration } from '../../core/acts/actWords';
import {
  type BesideRow,
  findRows,
  type RecordQuery,
  RECORD_SORTS,
  type RecordSort,
} from '../../core/record/findRows';
import type { RecordRow } from '../../core/record/recordRow';
import { homeUnit, showFigure, showQuantity, showShare, type UnitSystem } from '../../core/units/units';
import { download } from '../../files/download';
import { recordCsv } from '../../files/recordCsv';
import { localDay } from '../../session/clock';
import { useBesideRows, useLastPictures, useRecordRows } from '../../session/useRecordRows';
import { useSettings } from '../../session/useRecords';
import { useWorkshop } from '../../session/workshop';
import { Button, buttonClass } from '../../ui/Button';
import { LongList } from '../../ui/LongList';
import { Select } from '../../ui/Select';
import { TextField } from '../../ui/TextField';
import { useTitle } from '../../ui/useTitle';
import { Compared } from './Compared';
import { Wall } from './Wall';

const SORT_WORDS: Readonly<Record<RecordSort, string>> = {
  finished: 'when it was finished',
  name: 'name',
  form: 'form',
  wool: 'wool',
  grams: 'dry weight',
  along: 'shrinkage lengthwise',
  across: 'shrinkage crosswise',
  density: 'firmness',
  hours: 'time it took',
};
const ROW_PX = 76;
/** More side by side than these cannot be read. */
const MOST_COMPARED = 3;
const WITH = 'with';

const linkOf = ({ kind, id, woolId }: RecordRow): string =>
  kind === 'swatch' ? `/shelf/${woolId}` : kind === 'project' ? `/projects/${id}` : `/pieces/${id}/diary`;

const share = (v: number | null): string => (v === null ? '–' : showShare(v));

const Row = (props: {
  readonly row: RecordRow;
  readonly beside: BesideRow;
  readonly units: UnitSystem;
  readonly isChosen: boolean;
  readonly canChoose: boolean;
  readonly onChoose: (on: boolean) => void;
}) => {
  const { row, beside, units } = props;
  const minutes = beside.hands(row.id);
  const size = row.sizeMm.map(mm => showFigure(mm, 'length', { units })).join(' × ');
  return (
    <div className="flex h-[76px] items-center gap-3 border-b border-rim">
      <input
        type="checkbox"
        className="size-5 shrink-0 accent-ink disabled:opacity-30"
        aria-label={`Compare ${row.name}`}
        checked={props.isChosen}
        disabled={row.kind !== 'piece' || (!props.isChosen && !props.canChoose)}
        onChange={e => props.onChoose(e.target.checked)}
      />
      <span className="min-w-0 flex-1 leading-tight">
        <Link to={linkOf(row)} className="block truncate text-lg font-semibold hover:underline">
          {row.name}
        </Link>
        <span className="block truncate text-[13px] text-chalk">
          {row.form}
          {beside.woolName(row.woolId) && ` · ${beside.woolName(row.woolId)}`}
          {size && ` · ${size} ${homeUnit('length', units)}`}
        </span>
      </span>
      <span className="w-24 text-right tabular-nums max-md:hidden">
        {row.grams === null ? '–' : showQuantity(row.grams, 'mass', units)}
      </span>
      <span className="w-28 text-right tabular-nums">
        {share(row.along)} / {share(row.across)}
      </span>
      <span className="w-28 text-right tabular-nums max-lg:hidden">
        {row.density === null ? '–' : showQuantity(row.density, 'density', units)}
      </span>
      <span className="w-24 text-right tabular-nums max-md:hidden">
        {minutes === null ? '–' : duration(Math.round(minutes))}
      </span>
      <span className="w-24 text-right text-chalk tabular-nums max-sm:hidden">
        {localDay(row.finishedAt)}
      </span>
    </div>
  );
};

const Heads = () => (
  <div aria-hidden="true" className="flex gap-3 border-b-2 border-ink text-[13px] text-chalk">
    <span className="w-5" />
    <span className="flex-1">name, form, wool, size</span>
    <span className="w-24 text-right max-md:hidden">dry weight</span>
    <span className="w-28 text-right">shrank</span>
    <span className="w-28 text-right max-lg:hidden">firmness</span>
    <span className="w-24 text-right max-md:hidden">hands</span>
    <span className="w-24 text-right max-sm:hidden">finished</span>
  </div>
);

const Finder = (props: {
  readonly query: RecordQuery;
  readonly onQuery: (more: Partial<RecordQuery>) => void;
  readonly wools: ReadonlyArray<readonly [id: string, name: string]>;
  readonly forms: readonly string[];
}) => {
  const { query, onQuery } = props;
  return (
    <search className="flex flex-wrap items-end gap-3">
      <TextField
        label="Find"
        className="min-w-44 flex-1"
        value={query.text}
        onText={text => onQuery({ text })}
      />
      <Select
        label="Wool"
        value={query.woolId ?? ''}
        options={[{ value: '', text: 'any' }, ...props.wools.map(([value, text]) => ({ value, text }))]}
        onPick={woolId => onQuery({ woolId: woolId === '' ? null : woolId })}
      />
      <Select
        label="Form"
        value={query.form ?? ''}
        options={[{ value: '', text: 'any' }, ...props.forms.map(value => ({ value, text: value }))]}
        onPick={form => onQuery({ form: form === '' ? null : form })}
      />
      <Select
        label="Sorted by"
        value={query.sort}
        options={RECORD_SORTS.map(value => ({ value, text: SORT_WORDS[value] }))}
        onPick={sort => onQuery({ sort })}
      />
      <Button aria-pressed={query.isReversed} onClick={() => onQuery({ isReversed: !query.isReversed })}>
        Other way round
      </Button>
    </search>
  );
};

/** The record: every finished piece and swatch, found, sorted, side by side, and as a wall of pictures. */
export const RecordView = () => {
  useTitle('Record');
  const { rows, isWorking } = useRecordRows();
  const beside = useBesideRows();
  const pictures = useLastPictures();
  const { units } = useSettings();
  const { nowIso } = useWorkshop();
  const [params, setParams] = useSearchParams();
  // The address follows: a tick must stand at once.
  const [chosen, setChosen] = useState<readonly string[]>(
    () => params.get(WITH)?.split(',').filter(Boolean) ?? [],
  );
  const [isWall, setWall] = useState(false);
  const [query, setQuery] = useState<RecordQuery>({
    text: '',
    woolId: null,
    form: null,
    sort: 'finished',
    isReversed: false,
  });
  const found = useMemo(() => findRows(rows, query, beside), [rows, query, beside]);
  const compare = (next: readonly string[]): void => {
    setChosen(next);
    setParams(next.length > 0 ? { [WITH]: next.join(',') } : {}, { replace: true });
  };
  const choose = (id: string, on: boolean): void =>
    compare(on ? [...chosen, id] : chosen.filter(c => c !== id));
  const byName = (a: readonly [string, string], b: readonly [string, string]): number =>
    a[1].localeCompare(b[1]);
  const wools = [
    ...new Map(rows.flatMap(r => (r.woolId === null ? [] : [[r.woolId, beside.woolName(r.woolId)]]))),
  ]
    .map(([id, name]) => [id ?? '', name ?? ''] as const)
    .filter(([, name]) => name !== '')
    .toSorted(byName);
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-3 overflow-auto px-6 py-4">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="text-3xl font-semibold">Record</h1>
        <span className="text-chalk">
          {isWorking && rows.length === 0
            ? 'Working it out …'
            : `${found.length}${found.length === rows.length ? '' : ` of ${rows.length}`} finished`}
        </span>
        <span className="ml-auto flex gap-2">
          <Link to="/record/accuracy" className={buttonClass('plain', 'dry')}>
            How right was Jorrit?
          </Link>
          <Button aria-pressed={isWall} onClick={() => setWall(!isWall)}>
            {isWall ? 'As a list' : 'Wall of pictures'}
          </Button>
          <Button
            onClick={() =>
              download(`jorrit-record-${localDay(nowIso())}.csv`, 'text/csv', recordCsv(found, beside))
            }
          >
            Save as a table
          </Button>
        </span>
      </div>
      {rows.length === 0 && !isWorking ? (
        <p className="max-w-prose text-lg">
          Nothing is finished yet. A piece that is marked as finished stands here, with how it came out and
          how long it took.
        </p>
      ) : (
        <>
          <Finder
            query={query}
            onQuery={more => setQuery(was => ({ ...was, ...more }))}
            wools={wools}
            forms={[...new Set(rows.map(r => r.form))].toSorted()}
          />
          {chosen.length > 1 && <Compared ids={chosen} units={units} onLeave={() => compare([])} />}
          {isWall ? (
            <Wall rows={found.filter(r => pictures.has(r.id))} pictures={pictures} />
          ) : (
            <div className="flex min-h-64 flex-1 flex-col">
              <Heads />
              <LongList
                className="min-h-0 flex-1"
                testId="record"
                items={found}
                rowPx={ROW_PX}
                row={r => (
                  <Row
                    key={r.id}
                    row={r}
                    beside={beside}
                    units={units}
                    isChosen={chosen.includes(r.id)}
                    canChoose={chosen.length < MOST_COMPARED}
                    onChoose={on => choose(r.id, on)}
                  />
                )}
              />
            </div>
          )}
          {chosen.length === 1 && (
            <p className="text-chalk">Tick one or two more to see them side by side.</p>
          )}
        </>
      )}
    </div>
  );
};
