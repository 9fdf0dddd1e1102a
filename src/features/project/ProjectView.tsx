import { Link, useParams } from 'react-router';
import { showQuantity } from '../../core/units/units';
import { type Project, projectKind } from '../../records/project';
import { useChangeProject } from '../../session/useChanges';
import { useDeleteTold } from '../../session/useDeleteTold';
import { usePrepared } from '../../session/usePictures';
import { usePictureUrl } from '../../session/usePictures';
import { usePieces, useProjects, useSettings } from '../../session/useRecords';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';
import { DateField } from '../../ui/DateField';
import { PictureInput } from '../../ui/PictureInput';
import { TextField } from '../../ui/TextField';
import { useTitle } from '../../ui/useTitle';
import { JoiningSteps } from './JoiningSteps';
import { PartsOfProject } from './PartsOfProject';
import { projectGrams } from '../../core/project/projectGrams';
import { ProjectPieces } from './ProjectPieces';
import type { Change, SectionProps } from './sectionProps';

const Picture = ({ project, change }: SectionProps) => {
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
const Ending = ({ project, change }: SectionProps) => {
  const pieces = usePieces() ?? [];
  const { units } = useSettings();
  const { nowIso } = useWorkshop();
  const chosen = project.pieces.flatMap(slot => {
    const piece = pieces.find(p => p.id === slot.pieceId);
    return piece ? [{ slot, piece }] : [];
  });
  const grams = projectGrams(project.pieces, id => pieces.find(p => p.id === id)?.result.grams ?? null);
  const open = [
    ...project.pieces.filter(s => s.pieceId === null).map(s => `${s.what} is not chosen`),
    ...chosen.filter(c => c.piece.result.finishedAt === null).map(c => `${c.piece.name} is not finished`),
    ...project.steps.filter(s => !s.isDone).map(s => `not done: ${s.text}`),
  ];
  return (
    <section aria-label="The finished thing" className="flex flex-col gap-2">
      {grams !== null && <p>Its pieces weigh {showQuantity(grams, 'mass', units)} together.</p>}
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
  const changeProject = useChangeProject();
  const remove = useDeleteTold(projectKind, '/projects');
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
        <DateField
          label="Wanted on"
          value={project.due}
          onDay={due => change(p => ({ ...p, due }), 'wanted on')}
        />
        <Button look="bare" onClick={() => remove(project)}>
          Delete
        </Button>
      </div>
      <div className="grid gap-x-12 gap-y-6 lg:grid-cols-2">
        <ProjectPieces {...parts} />
        <PartsOfProject {...parts} />
        <JoiningSteps {...parts} />
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
