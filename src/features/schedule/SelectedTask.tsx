import { Link } from 'react-router';
import type { Break } from '../../core/schedule/breaksOf';
import type { WorkTask } from '../../core/schedule/work';
import { localTime, sayDay } from '../../session/clock';
import { Button, buttonClass } from '../../ui/Button';
import { breakWords, lengthWords, taskWords } from '../../words/schedule';
import { type BlockOfDay, STEP_MIN } from './dayRows';

const DAY_MIN = 24 * 60;

/** What was chosen of the schedule: when, how long, what it breaks, and how it is moved without dragging. */
export const SelectedTask = (props: {
  readonly block: BlockOfDay;
  readonly breaks: readonly Break[];
  readonly nameOf: (id: string) => string;
  /** Where its work is; null where that is not on the table yet. */
  readonly to: string | null;
  readonly onMove: (minutes: number) => void;
  readonly onLetGo: () => void;
}) => {
  const { block, breaks } = props;
  const task: WorkTask = block.task;
  return (
    <section
      aria-label="Chosen task"
      className="sticky -bottom-4 z-30 -mx-6 -mb-4 border-t-2 border-ink bg-soap px-6 py-3"
    >
      <h2 className="text-lg font-semibold">{taskWords(task)}</h2>
      <p>
        {sayDay(block.startMs)}, {localTime(block.startMs)} to {localTime(block.endMs)}: about{' '}
        {lengthWords(task.minutes)}
        {block.parts > 1 && `, in ${block.parts} parts`}
        {task.waitMin > 0 && `, then ${lengthWords(task.waitMin)} to wait`}.
      </p>
      {breaks.map((b, i) => (
        <p key={i} role="alert" className="font-semibold text-wanted">
          {breakWords(b, props.nameOf)}
        </p>
      ))}
      <div className="mt-2 flex flex-wrap gap-2">
        <Button onClick={() => props.onMove(-DAY_MIN)}>Day before</Button>
        <Button onClick={() => props.onMove(-STEP_MIN)}>15 min earlier</Button>
        <Button onClick={() => props.onMove(STEP_MIN)}>15 min later</Button>
        <Button onClick={() => props.onMove(DAY_MIN)}>Day after</Button>
        {block.isMoved && <Button onClick={props.onLetGo}>Back to where it fits</Button>}
        {props.to && (
          <Link to={props.to} className={buttonClass('plain', 'dry')}>
            {task.does === 'join' ? 'To the project' : 'To its bench'}
          </Link>
        )}
      </div>
    </section>
  );
};
