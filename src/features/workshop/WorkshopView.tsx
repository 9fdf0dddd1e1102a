import { type CSSProperties, useState } from 'react';
import { Link } from 'react-router';
import { MM_PER_INCH } from '../../core/units/constants';
import type { UnitSystem } from '../../core/units/units';
import type { PieceSummary } from '../../records/summary';
import type { Wool } from '../../records/wool';
import { useNow } from '../../session/useNow';
import { useRoomShort } from '../../session/useRoomLeft';
import { useUnsaved } from '../../session/useUnsaved';
import { finishingIds } from '../../session/finishing';
import { useLive, useSettings, useWools } from '../../session/useRecords';
import { useUnreadList } from '../../session/useUnreadList';
import { dayAfter } from '../../session/workHours';
import { dayOf } from '../../session/clock';
import { type Order, orderKind } from '../../records/order';
import { useAllSummaries, useSummaries, useSummariesToMake } from '../../session/useSummaries';
import { Button, buttonClass } from '../../ui/Button';
import { Guarded } from '../../ui/Guarded';
import { later } from '../../ui/later';
import { useTitle } from '../../ui/useTitle';
import { isTimeToSave, roomWords, unsavedWords } from '../../words/unsaved';
import { PieceOnTable } from './PieceOnTable';

// What is told above the pieces comes a moment after them.
const Unreadable = later(async () => (await import('./Unreadable')).Unreadable);
const Waiting = later(async () => (await import('./Waiting')).Waiting);
const DueSoon = later(async () => (await import('./DueSoon')).DueSoon);
const BrokenPiece = later(async () => (await import('./BrokenPiece')).BrokenPiece);

/** The largest piece as laid is this wide on the screen; all others are to the same scale. */
const LARGEST_PX = 300;
/** Each stage of the work has its place on the table. */
const PLACES = [
  { stage: 'bench', name: 'On the bench' },
  { stage: 'drying', name: 'Drying' },
  { stage: 'planned', name: 'Planned' },
  { stage: 'finished', name: 'Finished' },
] as const;

const largestMm = (all: readonly PieceSummary[]): number =>
  Math.max(
    100,
    ...all.flatMap(({ drawing }) =>
      drawing ? [drawing.box.maxX - drawing.box.minX, drawing.box.maxY - drawing.box.minY] : [],
    ),
  );

const ScaleBar = ({ pxPerMm, imperial }: { readonly pxPerMm: number; readonly imperial: boolean }) => {
  const mm = imperial ? 12 * MM_PER_INCH : 200;
  return (
    <p className="flex items-center gap-2 text-[13px] text-chalk">
      <svg width={mm * pxPerMm + 2} height={10} aria-hidden="true">
        <path
          d={`M1 9V1M1 5H${mm * pxPerMm + 1}M${mm * pxPerMm + 1} 9V1`}
          className="fill-none stroke-chalk"
          strokeWidth={1.5}
        />
      </svg>
      {imperial ? '12 in' : '20 cm'}, all to the same scale
    </p>
  );
};

/** The light grid of the table, to the same scale: squares of 10 cm or 6 in. */
const grid = (pxPerMm: number, imperial: boolean): CSSProperties => {
  const px = (imperial ? 6 * MM_PER_INCH : 100) * pxPerMm;
  const line = 'var(--grid) 1px, transparent 1px';
  return {
    backgroundImage: `linear-gradient(${line}), linear-gradient(90deg, ${line})`,
    backgroundSize: `${px}px ${px}px`,
    backgroundAttachment: 'local',
  };
};

/** Said before a full disk hurts. */
const RoomShort = () => {
  const freeBytes = useRoomShort();
  if (freeBytes === null) return null;
  return (
    <p role="alert" className="mb-4 max-w-3xl border-l-4 border-wanted pl-3">
      {roomWords(freeBytes)}{' '}
      <Link to="/file" className="underline underline-offset-2">
        Save it to a file
      </Link>
    </p>
  );
};

/** Said quietly when much is in this browser only. */
const TimeToSave = () => {
  const { changes, savedAt } = useUnsaved();
  const nowMs = useNow(DAY_LOOKS_MS);
  const savedMs = savedAt === null ? null : Date.parse(savedAt);
  if (!isTimeToSave(changes, savedMs, nowMs)) return null;
  return (
    <p className="mb-4 text-chalk">
      {unsavedWords(changes, savedMs, nowMs)}{' '}
      <Link to="/file" className="underline underline-offset-2">
        Save it to a file
      </Link>
    </p>
  );
};

const DAY_LOOKS_MS = 60_000;

/** What is wanted within so many days is told on the table. */
const SOON_DAYS = 14;

/** What was promised and is due soon, the earliest first. */
const useDueSoon = (): readonly Order[] => {
  const orders = useLive(orderKind) ?? [];
  const until = dayAfter(dayOf(useNow(DAY_LOOKS_MS)), SOON_DAYS);
  return orders
    .filter(o => o.doneAt === null && o.due !== null && o.due <= until)
    .toSorted((a, b) => ((a.due ?? '') < (b.due ?? '') ? -1 : 1));
};

const Empty = () => (
  <div className="max-w-prose p-8">
    <h2 className="text-3xl font-semibold">The table is empty.</h2>
    <p className="mt-2 text-lg">
      Tell Jorrit how big a piece should be when it is finished. It tells you how large to lay it, how much
      wool to weigh and, once you roll, how far along it is.
    </p>
    <Link to="/new" className={`${buttonClass('main', 'dry')} mt-4`}>
      Plan the first piece
    </Link>
    <p className="mt-4">
      Never felted? Practise first, on a piece that uses no wool:{' '}
      <Link to="/lessons/skin" className="underline">
        the first lesson
      </Link>
      , or{' '}
      <Link to="/lessons" className="underline">
        all of them
      </Link>
      .
    </p>
  </div>
);

/** Pieces of one stage are drawn so many at first; thousands would take a while, and nobody looks at them all. */
const SHOWN_AT_FIRST = 24;

const OneStage = (props: {
  readonly name: string;
  readonly pieces: readonly PieceSummary[];
  readonly wools: readonly Wool[];
  readonly pxPerMm: number;
  readonly units: UnitSystem;
}) => {
  const { name, pieces, wools, pxPerMm, units } = props;
  const [most, setMost] = useState(SHOWN_AT_FIRST);
  const left = pieces.length - most;
  return (
    <section aria-label={name} className="mb-6">
      <h2 className="mb-3 border-b border-rim text-[15px] text-chalk">{name}</h2>
      <ul className="flex flex-wrap items-end gap-x-9 gap-y-8">
        {pieces.slice(0, most).map(piece => (
          <li key={piece.id}>
            <Guarded instead={why => <BrokenPiece piece={piece} why={why} />}>
              <PieceOnTable
                piece={piece}
                wool={wools.find(w => w.id === piece.woolId) ?? null}
                pxPerMm={pxPerMm}
                units={units}
              />
            </Guarded>
          </li>
        ))}
      </ul>
      {left > 0 && (
        <Button className="mt-5" onClick={() => setMost(most + SHOWN_AT_FIRST)}>
          Show {Math.min(left, SHOWN_AT_FIRST)} more of {left}
        </Button>
      )}
    </section>
  );
};

/** The workshop: every piece on one table, to one scale. */
export const WorkshopView = () => {
  useTitle('Table');
  const isRead = useAllSummaries() !== null;
  const toMake = useSummariesToMake();
  const pieces = useSummaries().filter(p => p.unread !== 'piece');
  const wools = useWools();
  const { units } = useSettings();
  const isUnread = useUnreadList().length > 0;
  const soon = useDueSoon();
  if (!isRead) return <p className="p-4">Opening …</p>;
  if (pieces.length === 0 && toMake === 0)
    return (
      <>
        {isUnread && <Unreadable />}
        <Empty />
      </>
    );
  const all = pieces.toSorted((a, b) => (a.updatedAt < b.updatedAt ? 1 : -1));
  const pxPerMm = LARGEST_PX / largestMm(all);
  return (
    <div
      className="min-h-0 flex-1 overflow-auto bg-table px-6 py-4"
      style={grid(pxPerMm, units === 'imperial')}
    >
      <div className="mb-4 flex flex-wrap items-center gap-5">
        <h1 className="text-3xl font-semibold">On the table</h1>
        <Link to="/new" className={buttonClass('main', 'dry')}>
          New piece
        </Link>
        <span className="ml-auto">
          <ScaleBar pxPerMm={pxPerMm} imperial={units === 'imperial'} />
        </span>
      </div>
      {isUnread && <Unreadable />}
      {finishingIds(pieces).length > 0 && <Waiting />}
      {soon.length > 0 && <DueSoon soon={soon} />}
      <RoomShort />
      <TimeToSave />
      {toMake > 0 && <p role="status">Laying {toMake} more pieces on the table …</p>}
      {PLACES.map(({ stage, name }) => {
        const here = all.filter(p => p.stage === stage);
        return (
          here.length > 0 && (
            <OneStage key={stage} name={name} pieces={here} wools={wools} pxPerMm={pxPerMm} units={units} />
          )
        );
      })}
    </div>
  );
};
