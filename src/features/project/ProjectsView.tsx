import { useState } from 'react';
import { Link } from 'react-router';
import type { NeedSum } from '../../core/project/needs';
import { PROJECT_KINDS } from '../../core/project/projectKinds';
import { showQuantity } from '../../core/units/units';
import { newProject, type Project, projectKind } from '../../records/project';
import { localDay } from '../../session/clock';
import { useAddAndOpen } from '../../session/useAddAndOpen';
import { useNeeds } from '../../session/useNeeds';
import { useParts, usePieces, useProjects, useSettings, useWools } from '../../session/useRecords';
import { useWorkshop } from '../../session/workshop';
import { Button, buttonClass } from '../../ui/Button';
import { Select } from '../../ui/Select';
import { useTitle } from '../../ui/useTitle';

const stateWords = (project: Project, isFinished: (pieceId: string) => boolean): string => {
  if (project.doneAt !== null) return `put together on ${localDay(project.doneAt)}`;
  const ready = project.pieces.filter(p => p.pieceId !== null && isFinished(p.pieceId)).length;
  return `${ready} of ${project.pieces.length} ${project.pieces.length === 1 ? 'piece' : 'pieces'} ready`;
};

/** What is needed of one thing, and what is short of it. */
const Needed = (props: {
  readonly sum: NeedSum;
  readonly name: string;
  readonly to: string;
  readonly show: (amount: number) => string;
}) => {
  const { sum, show } = props;
  return (
    <li className="flex flex-wrap gap-x-3 border-b border-rim py-1">
      <Link to={props.to} className="min-w-40 flex-1 font-semibold hover:underline">
        {props.name}
        <span className="block text-[13px] font-normal text-chalk">{sum.of.slice(0, 4).join(', ')}</span>
      </Link>
      <span className="tabular-nums">
        {show(sum.needed)} of {sum.left === null ? 'not counted' : show(sum.left)}
      </span>
      <span
        className={`w-28 text-right tabular-nums ${sum.short > 0 ? 'font-semibold text-wanted' : 'text-chalk'}`}
      >
        {sum.short > 0 ? `${show(sum.short)} short` : sum.left === null ? '' : 'enough'}
      </span>
    </li>
  );
};

const Needs = () => {
  const needs = useNeeds();
  const { units } = useSettings();
  const wools = useWools();
  const parts = useParts();
  if (needs.wools.length + needs.parts.length === 0) return null;
  const figure = (amount: number): string => String(Math.round(100 * amount) / 100);
  return (
    <section aria-labelledby="needs" className="max-w-2xl">
      <h2 id="needs" className="border-b border-ink text-lg font-semibold">
        What everything planned needs
      </h2>
      <ul>
        {needs.parts.map(sum => {
          const part = parts.find(p => p.id === sum.id);
          return (
            <Needed
              key={sum.id}
              sum={sum}
              name={part?.name ?? 'a part that is gone'}
              to="/parts"
              show={amount => `${figure(amount)} ${part?.unit ?? ''}`}
            />
          );
        })}
        {needs.wools.map(sum => (
          <Needed
            key={sum.id}
            sum={sum}
            name={wools.find(w => w.id === sum.id)?.name ?? 'a wool that is gone'}
            to={`/shelf/${sum.id}`}
            show={amount => showQuantity(amount, 'mass', units)}
          />
        ))}
      </ul>
    </section>
  );
};

/** Projects: pieces and parts that become one thing, and what all of it needs. */
export const ProjectsView = () => {
  useTitle('Projects');
  const projects = useProjects();
  const pieces = usePieces() ?? [];
  const addAndOpen = useAddAndOpen(projectKind, id => `/projects/${id}`);
  const { chance, nowIso } = useWorkshop();
  const [kindId, setKindId] = useState(PROJECT_KINDS[0]?.id ?? '');
  const finished = new Set(pieces.filter(p => p.result.finishedAt !== null).map(p => p.id));
  const begin = (): void => {
    const kind = PROJECT_KINDS.find(k => k.id === kindId);
    if (!kind) return;
    const project = newProject(kind, { newId: chance.newId, now: nowIso() });
    addAndOpen(project);
  };
  if (!projects) return <p className="p-4">Opening …</p>;
  const sorted = projects.toSorted(
    (a, b) =>
      Number(a.doneAt !== null) - Number(b.doneAt !== null) ||
      (a.due ?? '9').localeCompare(b.due ?? '9') ||
      (a.updatedAt < b.updatedAt ? 1 : -1),
  );
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-5 overflow-auto px-6 py-4">
      <h1 className="text-3xl font-semibold">Projects</h1>
      <div className="flex flex-wrap items-end gap-3">
        <Select
          label="Put together"
          value={kindId}
          options={PROJECT_KINDS.map(k => ({ value: k.id, text: k.title }))}
          onPick={setKindId}
        />
        <Button look="main" onClick={begin}>
          New project
        </Button>
        <Link to="/parts" className={buttonClass('plain', 'dry')}>
          Parts on the shelf
        </Link>
      </div>
      {sorted.length === 0 ? (
        <p className="max-w-prose text-lg">
          A project joins pieces and parts into one thing: a flower with its bead and brooch back, a necklace,
          a garland. It says what is short before the first wisp is laid.
        </p>
      ) : (
        <ul aria-label="Projects" className="max-w-3xl">
          {sorted.map(p => (
            <li key={p.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-rim py-2">
              <Link
                to={`/projects/${p.id}`}
                className="min-w-48 flex-1 text-lg font-semibold hover:underline"
              >
                {p.name}
              </Link>
              <span>{stateWords(p, id => finished.has(id))}</span>
              <span className="w-44 text-right text-chalk tabular-nums">{p.due && `wanted ${p.due}`}</span>
            </li>
          ))}
        </ul>
      )}
      <Needs />
    </div>
  );
};
