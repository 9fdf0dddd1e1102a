import { memo, useCallback, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { calendarEvents } from '../../core/schedule/calendarEvents';
import { download } from '../../files/download';
import { localDay, localTime } from '../../session/clock';
import { useNotify } from '../../session/notices';
import { classTimes } from '../../session/openWork';
import { promiseSaid } from '../../session/promiseSaid';
import { useSchedule } from '../../session/useOpenWork';
import { useWools } from '../../session/useRecords';
import { useShared } from '../../session/useShared';
import { useWorkshop } from '../../session/workshop';
import { Button, buttonClass } from '../../ui/Button';
import { afterwards } from '../../ui/afterwards';
import { Choice } from '../../ui/Choice';
import { Select } from '../../ui/Select';
import { useGradually } from '../../ui/useGradually';
import { useSteady } from '../../ui/useSteady';
import { useTitle } from '../../ui/useTitle';
import { Why } from '../../ui/Why';
import { issueText } from '../../words/issues';
import { lengthWords, taskWords } from '../../words/schedule';
import { Days } from './Days';
import { blockKey, type BlockOfDay, dayRows } from './dayRows';
import { SelectedTask } from './SelectedTask';
import { Troubles } from './Troubles';
import { usePutting } from './usePutting';

const MINUTE_MS = 60_000;
const NONE: readonly never[] = [];

type Schedule = ReturnType<typeof useSchedule>;
type Planned = NonNullable<Schedule['planned']>;

/** What was promised, and how likely each is. */
const Promises = memo(
  ({
    promises,
    ready,
    orders,
    projects,
  }: Pick<Schedule, 'ready'> &
    Pick<Schedule['open'], 'promises'> &
    Pick<Schedule['book'], 'orders' | 'projects'>) => {
    if (promises.length === 0) return null;
    const nameOf = (id: string): { name: string; to: string } => {
      const order = orders.find(o => o.id === id);
      const project = projects.find(p => p.id === id);
      return order
        ? { name: order.name, to: `/orders/${id}` }
        : { name: project?.name ?? 'a project', to: `/projects/${id}` };
    };
    return (
      <section aria-label="Promised" className="max-w-3xl">
        <ul>
          {promises.map(promise => {
            const { name, to } = nameOf(promise.id);
            const sure = ready?.find(r => r.id === promise.id);
            const said = sure && promiseSaid(sure, promise.due);
            return (
              <li key={promise.id} className="flex flex-wrap items-baseline gap-x-3 border-b border-rim py-1">
                <Link to={to} className="min-w-40 font-semibold hover:underline">
                  {name}
                </Link>
                <span className={`flex-1 ${said && !said.isLikely ? 'font-semibold text-wanted' : ''}`}>
                  {said ? [said.head, ...said.more].join(' ') : 'Working it out …'}
                </span>
              </li>
            );
          })}
        </ul>
      </section>
    );
  },
);
Promises.displayName = 'Promises';

/** Today's work as a list. */
const Today = memo(
  (props: { readonly blocks: readonly BlockOfDay[]; readonly toOf: (of: string) => string | null }) => (
    <section aria-labelledby="today" className="max-w-3xl">
      <h2 id="today" className="border-b border-ink text-lg font-semibold">
        Today
      </h2>
      {props.blocks.length === 0 ? (
        <p>Nothing more to do today.</p>
      ) : (
        <ol aria-label="Today’s list">
          {props.blocks.map(b => {
            const to = props.toOf(b.task.of);
            const words = taskWords(b.task);
            return (
              <li key={blockKey(b)} className="flex gap-4 border-b border-rim py-1">
                <span className="w-14 tabular-nums">{localTime(b.startMs)}</span>
                <span className="flex-1">
                  {to ? (
                    <Link to={to} className="underline-offset-2 hover:underline">
                      {words}
                    </Link>
                  ) : (
                    words
                  )}
                </span>
                <span className="tabular-nums">{lengthWords((b.endMs - b.startMs) / MINUTE_MS)}</span>
              </li>
            );
          })}
        </ol>
      )}
    </section>
  ),
);
Today.displayName = 'Today';

/** Minutes before each stretch at which a calendar may ring. */
const RINGS = ['not', '10', '30'] as const;

const useCalendar = () => {
  const { clock, nowIso } = useWorkshop();
  const { failed, tell } = useNotify();
  return (planned: Planned, ring: (typeof RINGS)[number]): void => {
    const names = new Map(planned.tasks.map(t => [t.id, taskWords(t)]));
    const events = calendarEvents(planned.placed, {
      nowMs: planned.nowMs,
      titleOf: id => names.get(id) ?? id,
      notesOf: () => 'From the schedule of your felting workshop.',
    });
    import('../../files/calendarIcs')
      .then(({ calendarIcs }) => {
        const made = calendarIcs(events, {
          madeMs: clock.nowMs(),
          alarmMin: ring === 'not' ? null : Number(ring),
        });
        if (made.ok) download(`jorrit-schedule-${localDay(nowIso())}.ics`, 'text/calendar', made.value);
        else tell({ text: made.issues.map(issueText).join(' ') });
      })
      .catch(failed);
  };
};

/** What a new plan shows in, a frame after one another. */
const PARTS = ['days', 'chosen', 'today'] as const;

const Empty = () => (
  <p className="max-w-prose text-lg">
    Nothing to lay in yet. Plan a piece, or promise something by a day under{' '}
    <Link to="/orders" className="underline">
      Orders
    </Link>
    : the schedule says what to do when, and whether it will be ready.
  </p>
);

const Laid = ({ schedule, planned }: { readonly schedule: Schedule; readonly planned: Planned }) => {
  const { book, open, lines, beginsMs } = schedule;
  const wools = useWools();
  const { put, step, letGo, direct } = usePutting();
  const saveCalendar = useCalendar();
  const [chosen, setChosen] = useState<string | null>(null);
  const [ring, setRing] = useState<(typeof RINGS)[number]>('10');
  const names = new Map(planned.tasks.map(t => [t.id, taskWords(t)]));
  const nameOf = (id: string): string => names.get(id) ?? id;
  const { pieces, projects } = book;
  const toOf = useCallback(
    (of: string): string | null => {
      if (pieces.some(p => p.id === of)) return `/pieces/${of}/bench`;
      return projects.some(p => p.id === of) ? `/projects/${of}` : null;
    },
    [pieces, projects],
  );
  const rows = useShared(
    useMemo(() => {
      const colourOf = (of: string): string | null => {
        // What is not on the table yet has the colour of the piece that it is made like.
        const line = lines.find(l => l.works.some(w => w.id === of))?.line;
        const like = book.products.find(p => p.id === line?.productId)?.pieceId;
        const piece = book.pieces.find(p => p.id === of || p.id === like);
        return wools.find(w => w.id === piece?.woolId)?.colour ?? null;
      };
      return dayRows(planned, { workplace: book.workplace, classes: classTimes(book), colourOf });
    }, [planned, book, lines, wools]),
  );
  const seenIn = useGradually(
    useMemo(() => ({ rows, planned }), [rows, planned]),
    PARTS.length,
  );
  const [beside, above] = [seenIn(PARTS.indexOf('chosen')), seenIn(PARTS.indexOf('today'))];
  const selected = beside.rows.flatMap(r => r.blocks).find(b => b.task.id === chosen);
  const { nowMs } = planned;
  const onSelect = useCallback((b: BlockOfDay): void => setChosen(b.task.id), []);
  const onPut = useCallback(
    (b: BlockOfDay, startMs: number): void => {
      put(b, startMs);
      // In a task of its own.
      afterwards(() => setChosen(b.task.id));
    },
    [put],
  );
  const onStep = useSteady((b: BlockOfDay, minutes: number): void => {
    setChosen(b.task.id);
    step(b, minutes, { nowMs, beginsMs });
  });
  return (
    <>
      <div className="flex flex-wrap items-end gap-4">
        <Choice
          label="Laid in"
          value={book.workplace.direction}
          options={[
            { value: 'early', text: 'as early as it can be' },
            { value: 'late', text: 'as late as it may be' },
          ]}
          onChoose={direct}
        />
        <Select
          label="Rings"
          value={ring}
          options={RINGS.map(value => ({
            value,
            text: value === 'not' ? 'not at all' : `${value} min before`,
          }))}
          onPick={setRing}
        />
        <Button onClick={() => saveCalendar(planned, ring)}>Save as a calendar file</Button>
        <Link to="/hours" className={buttonClass('plain', 'dry')}>
          Hours and money
        </Link>
        <Why of="the schedule">
          <p>
            Times of hands are common practice for each way of working, made longer or shorter by your own
            pace as your logs have it (
            {open.paced.length === 0 ? 'none yet' : `from ${new Set(open.paced.map(p => p.id)).size} pieces`}
            ). Waits are soaking, drying and glue. Chances come from drawing all of these 500 times.
          </p>
        </Why>
      </div>
      <Troubles planned={above.planned} isLate={book.workplace.direction === 'late'} nameOf={nameOf} />
      <Today blocks={above.rows[0]?.blocks ?? NONE} toOf={toOf} />
      <Promises promises={open.promises} ready={schedule.ready} orders={book.orders} projects={projects} />
      <Days rows={rows} laid={planned} selected={chosen} {...{ onSelect, onPut, onStep }} onLetGo={letGo} />
      {selected && (
        <SelectedTask
          block={selected}
          breaks={beside.planned.breaks.filter(b => b.id === selected.task.id)}
          nameOf={nameOf}
          to={toOf(selected.task.of)}
          onMove={minutes => onStep(selected, minutes)}
          onLetGo={() => letGo(selected)}
        />
      )}
    </>
  );
};

/** The schedule: today's list, what was promised, and days with blocks of hands and waits. */
export const ScheduleView = () => {
  useTitle('Schedule');
  const schedule = useSchedule();
  const { planned, error, again } = schedule;
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-4 overflow-auto px-6 py-4">
      <h1 className="text-3xl font-semibold">Schedule</h1>
      {error ? (
        <p role="alert">
          {error.message} <Button onClick={again}>Try again</Button>
        </p>
      ) : !planned ? (
        <p>Working it out …</p>
      ) : planned.tasks.length === 0 ? (
        <Empty />
      ) : (
        <Laid schedule={schedule} planned={planned} />
      )}
    </div>
  );
};
