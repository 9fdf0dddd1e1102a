import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { showFigure } from '../../core/units/units';
import { type Lesson, LessonSchema } from '../../records/lesson';
import { useLessons } from '../../session/useLessons';
import { usePieces } from '../../session/useRecords';
import { useWorkshop } from '../../session/workshop';
import { Button, buttonClass } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { Select } from '../../ui/Select';
import { TextField } from '../../ui/TextField';
import { useTitle } from '../../ui/useTitle';
import { CAME_ABOUT_NAMES, FRESH_GOALS } from '../../words/goals';
import { GoalFields } from './GoalFields';

/** Felts of a lesson: each number is another. */
const MOST_SEEDS = 9999;
const MOST_STEPS = 12;

interface Change {
  readonly lesson: Lesson;
  /** What is changed is the lesson as it stands by then: two changes may come quicker than they are drawn. */
  readonly change: (of: (was: Lesson) => Partial<Lesson>) => void;
}

/** One of some with more said of it. */
const withMore = <T,>(all: readonly T[], at: number, more: Partial<T>): T[] =>
  all.map((one, i) => (i === at ? { ...one, ...more } : one));

/** What is said on the way, each until what it waits for is there. */
const Steps = ({ lesson, change }: Change) => (
  <section aria-labelledby="steps" className="flex flex-col gap-4">
    <h2 id="steps" className="text-xl font-semibold">
      Step by step
    </h2>
    {lesson.steps.map((step, i) => (
      <fieldset key={i} className="flex flex-col gap-2 border-l-2 border-rim pl-3">
        <legend className="sr-only">Step {i + 1}</legend>
        <TextField
          label={`Step ${i + 1} says`}
          lines={2}
          required
          value={step.says}
          onText={says => change(was => ({ steps: withMore(was.steps, i, { says }) }))}
        />
        <GoalFields
          label="and waits until"
          goal={step.until}
          onGoal={until => change(was => ({ steps: withMore(was.steps, i, { until }) }))}
        />
        {lesson.steps.length > 1 && (
          <Button
            look="bare"
            className="self-start"
            aria-label={`Remove step ${i + 1}`}
            onClick={() => change(was => ({ steps: was.steps.toSpliced(i, 1) }))}
          >
            Remove
          </Button>
        )}
      </fieldset>
    ))}
    {lesson.steps.length < MOST_STEPS && (
      <Button
        className="self-start"
        onClick={() =>
          change(was => ({
            steps: [...was.steps, { says: 'Say here what to do.', until: FRESH_GOALS.done }],
          }))
        }
      >
        Another step
      </Button>
    )}
  </section>
);

/** What is said at the end. */
const Ends = ({ lesson, change }: Change) => (
  <section aria-labelledby="ends" className="flex flex-col gap-4">
    <h2 id="ends" className="text-xl font-semibold">
      At the end
    </h2>
    {lesson.shows.map((show, i) => {
      const put = (of: Partial<typeof show>): void => change(was => ({ shows: withMore(was.shows, i, of) }));
      return (
        <div key={i} className="flex flex-col gap-2 border-l-2 border-rim pl-3">
          <GoalFields label="Where" goal={show.goal} onGoal={goal => put({ goal })} />
          <TextField label="it says" lines={2} required value={show.good} onText={good => put({ good })} />
          <TextField label="and else" lines={2} required value={show.bad} onText={bad => put({ bad })} />
        </div>
      );
    })}
  </section>
);

/** The made-up piece: its plan, which felt it is, and what may go wrong with it. */
const Start = ({ lesson, change }: Change) => {
  const pieces = usePieces() ?? [];
  const toggle = (fault: string, isOn: boolean): void =>
    change(was => ({ faults: [...was.faults.filter(f => f !== fault), ...(isOn ? [fault] : [])] }));
  return (
    <section aria-labelledby="start" className="flex flex-col gap-3">
      <h2 id="start" className="text-xl font-semibold">
        The piece
      </h2>
      <div className="flex flex-wrap items-end gap-4">
        <Select
          label="Made as"
          value=""
          options={[
            { value: '', text: 'it is in this lesson' },
            ...pieces.map(p => ({ value: p.id, text: p.name })),
          ]}
          onPick={id => {
            const piece = pieces.find(p => p.id === id);
            // What was done with the other form need not suit this one.
            if (piece) change(() => ({ plan: { ...piece.plan, pieces: 1 }, judge: piece.judge, done: [] }));
          }}
        />
        <NumberField
          className="w-32"
          label="Which felt"
          shown={showFigure(lesson.seed, 'count', { units: 'metric' })}
          read={reader('count', 'metric', { min: 0, max: MOST_SEEDS })}
          onValue={seed => change(() => ({ seed: Math.round(seed) }))}
        />
      </div>
      <p className="text-[13px] text-chalk">
        Each number is another felt, the same for everybody who plays the lesson.
        {lesson.done.length > 0 && ` ${lesson.done.length} acts are done when it begins.`}
      </p>
      <fieldset>
        <legend>What may go wrong by itself</legend>
        <div className="grid gap-x-6 sm:grid-cols-2">
          {CAME_ABOUT_NAMES.map(({ value, text }) => (
            <label key={value} className="flex min-h-9 items-center gap-2">
              <input
                type="checkbox"
                checked={lesson.faults.includes(value)}
                onChange={e => toggle(value, e.target.checked)}
              />
              {text}
            </label>
          ))}
        </div>
      </fieldset>
    </section>
  );
};

const Editor = ({ lesson }: { readonly lesson: Lesson }) => {
  useTitle(`Change ${lesson.title}`);
  const { own, keep } = useLessons();
  const { chance } = useWorkshop();
  const navigate = useNavigate();
  const [draft, setDraft] = useState(lesson);
  const change: Change['change'] = of => setDraft(d => ({ ...d, ...of(d) }));
  const wrong = LessonSchema.safeParse(draft).error?.issues[0];
  const save = (): void => {
    // One that came with the program stays as it is: a changed one is one's own.
    const id = own.has(lesson.id) ? lesson.id : `own-${chance.newId().slice(0, 8)}`;
    keep({ ...draft, id });
    void navigate('/lessons');
  };
  return (
    <div className="min-h-0 flex-1 overflow-auto px-6 py-4">
      <div className="flex max-w-3xl flex-col gap-6">
        <h1 className="text-3xl font-semibold">Change a lesson</h1>
        <TextField
          label="Its name"
          required
          value={draft.title}
          onText={title => change(() => ({ title }))}
        />
        <TextField
          label="What it is about"
          lines={2}
          required
          value={draft.about}
          onText={about => change(() => ({ about }))}
        />
        <Start lesson={draft} change={change} />
        <Steps lesson={draft} change={change} />
        <Ends lesson={draft} change={change} />
        <p role="status" className="min-h-6 text-wanted">
          {wrong && `Not yet: ${wrong.path.join(', ')}. ${wrong.message}.`}
        </p>
        <div className="flex gap-3 pb-6">
          <Button look="main" disabled={wrong !== undefined} onClick={save}>
            Keep it as my own
          </Button>
          <Link to="/lessons" className={buttonClass('plain', 'dry')}>
            Leave it as it was
          </Link>
        </div>
      </div>
    </div>
  );
};

/** A lesson that is changed by whoever teaches: its words, what it waits for, the piece and what may go wrong with it. */
export const LessonEditor = () => {
  const { lessonId } = useParams();
  const { all } = useLessons();
  const lesson = all.find(l => l.id === lessonId);
  return lesson ? (
    <Editor key={lesson.id} lesson={lesson} />
  ) : (
    <p className="p-4">There is no such lesson here.</p>
  );
};
