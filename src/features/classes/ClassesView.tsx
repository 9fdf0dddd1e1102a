import { Link } from 'react-router';
import { classKind, newClass } from '../../records/feltClass';
import { sayDay } from '../../session/clock';
import { useAddAndOpen } from '../../session/useAddAndOpen';
import { useLive, usePieces } from '../../session/useRecords';
import { momentOf } from '../../session/workHours';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';
import { useTitle } from '../../ui/useTitle';

/** Classes: who comes, what they make, and whether the kits are packed. */
export const ClassesView = () => {
  useTitle('Classes');
  const classes = useLive(classKind);
  const pieces = usePieces() ?? [];
  const addAndOpen = useAddAndOpen(classKind, id => `/classes/${id}`);
  const { chance, nowIso } = useWorkshop();
  const begin = (): void => {
    const held = newClass({ id: chance.newId(), name: 'New class', now: nowIso() });
    addAndOpen(held);
  };
  if (!classes) return <p className="p-4">Opening …</p>;
  const sorted = classes.toSorted(
    (a, b) => (a.day ?? '9').localeCompare(b.day ?? '9') || (a.id < b.id ? -1 : 1),
  );
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-4 overflow-auto px-6 py-4">
      <div className="flex flex-wrap items-center gap-4">
        <h1 className="text-3xl font-semibold">Classes</h1>
        <Button look="main" onClick={begin}>
          New class
        </Button>
      </div>
      {sorted.length === 0 ? (
        <p className="max-w-prose text-lg">
          No class yet. Say who comes and what they make: Jorrit packs the kits, lists what to set up before
          hands are wet, and times each step for beginners.
        </p>
      ) : (
        <ul aria-label="Classes" className="max-w-4xl">
          {sorted.map(held => (
            <li key={held.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-rim py-2">
              <Link
                to={`/classes/${held.id}`}
                className="min-w-48 flex-1 text-lg font-semibold hover:underline"
              >
                {held.name}
              </Link>
              <span>
                {held.people} {held.people === 1 ? 'person' : 'people'}
                {held.areChildren && ', children'}
              </span>
              <span className="text-chalk">
                {pieces.find(p => p.id === held.pieceId)?.name ?? 'no piece yet'}
              </span>
              <span className="w-36 text-right tabular-nums">
                {held.day === null
                  ? 'no day'
                  : `${sayDay(momentOf(held.day, '12:00'))}${held.startsAt === null ? '' : `, ${held.startsAt}`}`}
              </span>
              <span className="w-32 text-right">
                {held.back ? 'held' : held.packedAt === null ? 'to pack' : 'packed'}
              </span>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
};
