import type { Project } from '../../records/project';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/TextField';
import { Tick } from '../../ui/Tick';
import type { SectionProps } from './sectionProps';

/** The steps of joining, in their order. */
export const JoiningSteps = ({ project, change }: SectionProps) => {
  const { chance } = useWorkshop();
  const set = (id: string, more: Partial<Project['steps'][number]>): void =>
    change(
      p => ({ ...p, steps: p.steps.map(x => (x.id === id ? { ...x, ...more } : x)) }),
      'steps of joining',
    );
  return (
    <section aria-labelledby="steps">
      <h2 id="steps" className="border-b border-ink text-lg font-semibold">
        Joining, in order
      </h2>
      <ol>
        {project.steps.map((step, i) => (
          <li key={step.id} className="flex items-end gap-3 border-b border-rim py-1">
            <Tick
              className="mb-1 size-6 accent-ink"
              aria-label={`Step ${i + 1} is done`}
              isOn={step.isDone}
              onTick={isDone => set(step.id, { isDone })}
            />
            <TextField
              hideLabel
              label={`Step ${i + 1}`}
              className="flex-1"
              value={step.text}
              required
              onText={text => set(step.id, { text: text.slice(0, 500) })}
            />
            <Button
              look="bare"
              aria-label={`Remove step ${i + 1}`}
              onClick={() =>
                change(p => ({ ...p, steps: p.steps.filter(x => x.id !== step.id) }), 'steps of joining')
              }
            >
              Remove
            </Button>
          </li>
        ))}
      </ol>
      <Button
        className="mt-2"
        onClick={() =>
          change(
            p => ({ ...p, steps: [...p.steps, { id: chance.newId(), text: 'Another step', isDone: false }] }),
            'steps of joining',
          )
        }
      >
        Add a step
      </Button>
      <p className="mt-1 text-[13px] text-chalk">
        Needles, wire ends and glue are for adults; follow the labels. Nothing with small parts or strings for
        children under three.
      </p>
    </section>
  );
};
