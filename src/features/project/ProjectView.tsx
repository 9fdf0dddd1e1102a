import { useId } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { joinAdvice } from '../../core/project/joins';
import { PART_SORTS, PART_USUAL, type PartSort } from '../../core/project/partSorts';
import { planOf } from '../../core/plan/planOf';
import { dryLines } from '../../core/plan/outcome';
import { showQuantity } from '../../core/units/units';
import type { Part } from '../../records/part';
import type { Piece } from '../../records/piece';
import type { Project } from '../../records/project';
import { useNotify } from '../../session/notices';
import { useChangeProject, useDeleteProject } from '../../session/useChanges';
import { usePartsLeft } from '../../session/useNeeds';
import { usePrepared } from '../../session/usePictures';
import { usePictureUrl } from '../../session/usePictures';
import { useParts, usePieces, useProjects, useSettings } from '../../session/useRecords';
import { useUndo } from '../../session/useUndo';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { namedOptions, Select, wordOptions } from '../../ui/Select';
import { PictureInput } from '../../ui/PictureInput';
import { TextField } from '../../ui/TextField';
import { useTitle } from '../../ui/useTitle';

type Change = (change: (project: Project) => Project, label: string) => void;
interface ProjectParts {
  readonly project: Project;
  readonly change: Change;
}

/** How wide a piece is at the least, mm: as it came out, else as it is wanted; null where its plan cannot be made. */
const leastMm = (piece: Piece | undefined): number | null => {
  const plan = piece && planOf(piece.plan);
  if (!piece || !plan?.ok) return null;
  const lines = dryLines(plan.value.form, piece.result.readings).map(
    g => piece.result.readings[g.id] ?? g.wantedMm,
  );
  return lines.length === 0 ? null : Math.min(...lines);
};

const Pieces = ({ project, change }: ProjectParts) => {
  const pieces = usePieces() ?? [];
  const { units } = useSettings();
  const { chance } = useWorkshop();
  const set = (id: string, more: Partial<Project['pieces'][number]>): void =>
    change(
      p => ({ ...p, pieces: p.pieces.map(x => (x.id === id ? { ...x, ...more } : x)) }),
      'pieces of the project',
    );
  const state = (piece: Piece | undefined): string =>
    !piece ? 'not chosen yet' : piece.result.finishedAt === null ? 'not finished yet' : 'ready';
  return (
    <section aria-labelledby="pieces">
      <h2 id="pieces" className="border-b border-ink text-lg font-semibold">
        Pieces
      </h2>
      <ul>
        {project.pieces.map(slot => {
          const piece = pieces.find(p => p.id === slot.pieceId);
          return (
            <li key={slot.id} className="flex flex-wrap items-end gap-3 border-b border-rim py-2">
              <NumberField
                className="w-20"
                label={`How many of ${slot.what}`}
                unit="×"
                shown={String(slot.count)}
                read={reader('count', units, { min: 1, max: 9999 })}
                onValue={v => set(slot.id, { count: Math.round(v) })}
              />
              <TextField
                className="w-36"
                label="What"
                value={slot.what}
                required
                onText={what => set(slot.id, { what: what.slice(0, 200) })}
              />
              <Select
                label={`Which ${slot.what}`}
                value={slot.pieceId ?? ''}
                options={namedOptions(pieces, 'not chosen yet')}
                onPick={id => set(slot.id, { pieceId: id === '' ? null : id })}
              />
              <span className="min-w-28 flex-1 pb-1">
                {piece ? (
                  <Link to={`/pieces/${piece.id}/plan`} className="underline">
                    {state(piece)}
                  </Link>
                ) : (
                  <Link to="/new" className="underline">
                    plan one
                  </Link>
                )}
                {piece && slot.count > piece.plan.pieces && (
                  <span className="block text-[13px] text-wanted">
                    {slot.count - piece.plan.pieces} short: it is planned {piece.plan.pieces} times.
                  </span>
                )}
              </span>
              <Button
                look="bare"
                aria-label={`Take ${slot.what} out`}
                onClick={() =>
                  change(
                    p => ({ ...p, pieces: p.pieces.filter(x => x.id !== slot.id) }),
                    'pieces of the project',
                  )
                }
              >
                Take out
              </Button>
            </li>
          );
        })}
      </ul>
      <Button
        className="mt-2"
        onClick={() =>
          change(
            p => ({
              ...p,
              pieces: [...p.pieces, { id: chance.newId(), what: 'piece', count: 1, pieceId: null }],
            }),
            'pieces of the project',
          )
        }
      >
        Add a piece
      </Button>
    </section>
  );
};

const PartRow = (
  props: ProjectParts & { readonly slot: Project['parts'][number]; readonly widthMm: number | null },
) => {
  const { slot, change, widthMm } = props;
  const parts = useParts();
  const left = usePartsLeft();
  const { units } = useSettings();
  const own: Part | undefined = parts.find(p => p.id === slot.partId);
  const unit = own?.unit ?? PART_USUAL[slot.sort].unit;
  const advice = joinAdvice(slot.sort, own?.sizeMm ?? null, widthMm);
  const there = own ? left(own) : null;
  const set = (more: Partial<Project['parts'][number]>): void =>
    change(
      p => ({ ...p, parts: p.parts.map(x => (x.id === slot.id ? { ...x, ...more } : x)) }),
      'parts of the project',
    );
  return (
    <li className="flex flex-wrap items-end gap-3 border-b border-rim py-2">
      <NumberField
        className="w-24"
        label={`How much ${slot.sort}`}
        unit={unit === 'pieces' ? '×' : unit}
        shown={String(Math.round(1000 * slot.count) / 1000)}
        read={reader('count', units, { min: 0.001, max: 100_000 })}
        onValue={count => set({ count })}
      />
      <Select
        label="Sort"
        value={slot.sort}
        options={wordOptions(PART_SORTS)}
        onPick={sort => set({ sort, partId: null })}
      />
      <Select
        label={`Which ${slot.sort}`}
        value={slot.partId ?? ''}
        options={namedOptions(
          parts.filter(p => p.sort === slot.sort),
          'not chosen yet',
        )}
        onPick={id => set({ partId: id === '' ? null : id })}
      />
      <span className="min-w-40 flex-1 pb-1 text-[15px]">
        {there !== null && (
          <span className={there < slot.count ? 'font-semibold text-wanted' : ''}>
            {Math.round(100 * there) / 100} {unit} on the shelf.{' '}
          </span>
        )}
        {advice && (
          <span className={advice.fits === false ? 'font-semibold text-wanted' : 'text-chalk'}>
            {advice.text}
          </span>
        )}
      </span>
      <Button
        look="bare"
        aria-label={`Take ${slot.sort} out`}
        onClick={() =>
          change(p => ({ ...p, parts: p.parts.filter(x => x.id !== slot.id) }), 'parts of the project')
        }
      >
        Take out
      </Button>
    </li>
  );
};

const PartsOf = (props: ProjectParts) => {
  const { project, change } = props;
  const pieces = usePieces() ?? [];
  const { chance } = useWorkshop();
  // What a cap or a back is set on: the first piece that is chosen.
  const widths = project.pieces.flatMap(s => leastMm(pieces.find(p => p.id === s.pieceId)) ?? []);
  const add = (sort: PartSort): void =>
    change(
      p => ({ ...p, parts: [...p.parts, { id: chance.newId(), sort, count: 1, partId: null }] }),
      'parts of the project',
    );
  return (
    <section aria-labelledby="parts">
      <h2 id="parts" className="border-b border-ink text-lg font-semibold">
        Parts
      </h2>
      <ul>
        {project.parts.map(slot => (
          <PartRow key={slot.id} {...props} slot={slot} widthMm={widths[0] ?? null} />
        ))}
      </ul>
      <div className="mt-2 flex gap-2">
        <Button onClick={() => add('other')}>Add a part</Button>
        <Link to="/parts" className="self-center underline">
          Parts on the shelf
        </Link>
      </div>
    </section>
  );
};

const Steps = ({ project, change }: ProjectParts) => {
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
            <input
              type="checkbox"
              className="mb-1 size-6 accent-ink"
              aria-label={`Step ${i + 1} is done`}
              checked={step.isDone}
              onChange={e => set(step.id, { isDone: e.target.checked })}
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

const Picture = ({ project, change }: ProjectParts) => {
  const { prepare, progress } = usePrepared();
  const url = usePictureUrl(project.picture?.hash ?? '');
  const take = (file: File): void =>
    prepare(file, picture => change(p => ({ ...p, picture }), 'picture of the project'));
  return (
    <section aria-label="Picture" className="max-w-md">
      {url && <img src={url} alt={project.name} className="mb-2 w-full" />}
      <PictureInput progress={progress} onFile={take}>
        {project.picture ? 'Another picture' : 'Add a picture'}
      </PictureInput>
    </section>
  );
};

/** What it weighs together, as far as its pieces were weighed; and the end. */
const Ending = ({ project, change }: ProjectParts) => {
  const pieces = usePieces() ?? [];
  const { units } = useSettings();
  const { nowIso } = useWorkshop();
  const chosen = project.pieces.flatMap(slot => {
    const piece = pieces.find(p => p.id === slot.pieceId);
    return piece ? [{ slot, piece }] : [];
  });
  const grams = chosen.reduce((sum, { slot, piece }) => sum + slot.count * (piece.result.grams ?? 0), 0);
  const open = [
    ...project.pieces.filter(s => s.pieceId === null).map(s => `${s.what} is not chosen`),
    ...chosen.filter(c => c.piece.result.finishedAt === null).map(c => `${c.piece.name} is not finished`),
    ...project.steps.filter(s => !s.isDone).map(s => `not done: ${s.text}`),
  ];
  return (
    <section aria-label="The finished thing" className="flex flex-col gap-2">
      {grams > 0 && <p>Its pieces weigh {showQuantity(grams, 'mass', units)} together.</p>}
      {project.doneAt === null ? (
        <>
          <Button
            look="main"
            className="self-start"
            onClick={() => change(p => ({ ...p, doneAt: nowIso() }), 'put together')}
          >
            It is put together
          </Button>
          {open.length > 0 && (
            <p className="text-[13px] text-chalk">
              Still open: {open.slice(0, 4).join('; ')}
              {open.length > 4 && ` and ${open.length - 4} more`}. You may mark it all the same.
            </p>
          )}
        </>
      ) : (
        <>
          <p className="font-semibold">
            It is put together, and stands in the record. Its parts are off the shelf.
          </p>
          <Button
            className="self-start"
            onClick={() => change(p => ({ ...p, doneAt: null }), 'not put together')}
          >
            Not put together after all
          </Button>
        </>
      )}
    </section>
  );
};

const ProjectOf = ({ project }: { readonly project: Project }) => {
  useTitle(project.name);
  const dueId = useId();
  const changeProject = useChangeProject();
  const remove = useDeleteProject();
  const { undo } = useUndo();
  const { tell } = useNotify();
  const navigate = useNavigate();
  const change: Change = (how, label) => changeProject(project.id, how, { label, key: label });
  const parts = { project, change };
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-5 overflow-auto px-6 py-4">
      <div className="flex flex-wrap items-end gap-4">
        <TextField
          label="Name of the project"
          hideLabel
          className="min-w-60 flex-1 text-2xl font-semibold"
          value={project.name}
          required
          onText={name => change(p => ({ ...p, name: name.slice(0, 200) }), 'name')}
        />
        <div className="flex flex-col">
          <label htmlFor={dueId} className="text-[13px] text-chalk">
            Wanted on
          </label>
          <input
            id={dueId}
            type="date"
            className="rounded-bench border border-rim bg-soap px-2 py-1"
            value={project.due ?? ''}
            onChange={e =>
              change(p => ({ ...p, due: e.target.value === '' ? null : e.target.value }), 'wanted on')
            }
          />
        </div>
        <Button
          look="bare"
          onClick={() => {
            remove(project, `delete ${project.name}`);
            tell({ text: `${project.name} is deleted.`, action: { label: 'Undo', run: undo } });
            void navigate('/projects');
          }}
        >
          Delete
        </Button>
      </div>
      <div className="grid gap-x-12 gap-y-6 lg:grid-cols-2">
        <Pieces {...parts} />
        <PartsOf {...parts} />
        <Steps {...parts} />
        <div className="flex flex-col gap-4">
          <Picture {...parts} />
          <TextField
            label="Notes"
            lines={3}
            value={project.notes}
            onText={notes => change(p => ({ ...p, notes }), 'notes')}
          />
          <Ending {...parts} />
        </div>
      </div>
    </div>
  );
};

/** One project: its pieces, parts and steps of joining. */
export const ProjectView = () => {
  const { projectId = '' } = useParams();
  const projects = useProjects();
  if (!projects) return <p className="p-4">Opening …</p>;
  const project = projects.find(p => p.id === projectId);
  return project ? (
    <ProjectOf key={projectId} project={project} />
  ) : (
    <div className="p-8">
      <h1 className="text-3xl font-semibold">This project is not in this browser.</h1>
      <Link to="/projects" className="underline">
        Back to the projects
      </Link>
    </div>
  );
};
