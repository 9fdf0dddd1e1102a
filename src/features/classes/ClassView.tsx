import { Link, useParams } from 'react-router';
import { BEGINNERS_SLOWER } from '../../core/batch/timetable';
import { planOf } from '../../core/plan/planOf';
import { classKind, type FeltClass } from '../../records/feltClass';
import { classSheet } from '../../session/classSheet';
import { useChange } from '../../session/useChanges';
import { useDeleteTold } from '../../session/useDeleteTold';
import { useBook } from '../../session/useOpenWork';
import { useLive, usePieces, useSettings } from '../../session/useRecords';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { DateField } from '../../ui/DateField';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { namedOptions, Select } from '../../ui/Select';
import { TimeField } from '../../ui/TimeField';
import { TextField } from '../../ui/TextField';
import { useTitle } from '../../ui/useTitle';
import { Handouts } from './Handouts';
import { KitParts } from './KitParts';
import { Packing } from './Packing';
import type { Change } from './sectionProps';
import { SetUp } from './SetUp';

/** Who comes, when, and what they make. */
const Who = ({ held, change }: { readonly held: FeltClass; readonly change: Change }) => {
  const { units } = useSettings();
  const pieces = usePieces() ?? [];
  const count = (min: number, max: number) => reader('count', units, { min, max });
  return (
    <div className="flex flex-wrap items-end gap-4">
      <Select
        label="Everybody makes"
        value={held.pieceId ?? ''}
        options={namedOptions(pieces, 'choose a piece …')}
        onPick={id => change(c => ({ ...c, pieceId: id === '' ? null : id }), 'what everybody makes')}
      />
      <NumberField
        className="w-20"
        label="People"
        shown={String(held.people)}
        read={count(1, 500)}
        onValue={v => change(c => ({ ...c, people: Math.round(v) }), 'people')}
      />
      <NumberField
        className="w-24"
        label="Spare kits"
        guess={held.spares === null}
        shown={held.spares === null ? 'as usual' : String(held.spares)}
        read={count(0, 500)}
        onValue={v => change(c => ({ ...c, spares: Math.round(v) }), 'spare kits')}
        onEmpty={() => change(c => ({ ...c, spares: null }), 'spare kits')}
      />
      <Choice
        label="Who is coming"
        value={held.areChildren ? 'children' : 'adults'}
        options={[
          { value: 'adults', text: 'adults' },
          { value: 'children', text: 'children' },
        ]}
        onChoose={v => change(c => ({ ...c, areChildren: v === 'children' }), 'who is coming')}
      />
      <NumberField
        className="w-36"
        label="Slower than you, ×"
        guess={held.slower === BEGINNERS_SLOWER}
        shown={String(held.slower)}
        read={count(0.5, 10)}
        onValue={slower => change(c => ({ ...c, slower }), 'pace of the class')}
      />
      <NumberField
        className="w-36"
        label="You show, each stage"
        unit="min"
        shown={String(held.pauseMin)}
        read={count(0, 120)}
        onValue={v => change(c => ({ ...c, pauseMin: Math.round(v) }), 'time to show')}
      />
    </div>
  );
};

const ClassOf = ({ held }: { readonly held: FeltClass }) => {
  useTitle(held.name);
  const book = useBook();
  const changeClass = useChange(classKind);
  const remove = useDeleteTold(classKind, '/classes');
  const change: Change = (how, label) => changeClass(held.id, how, { label, key: label });
  const piece = book.pieces.find(p => p.id === held.pieceId && p.deletedAt === null);
  const plan = piece && planOf(piece.plan);
  const sheet = piece && plan?.ok ? classSheet(held, { piece, plan: plan.value, book }) : null;
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-5 overflow-auto px-6 py-4">
      <h1 className="sr-only">{held.name}</h1>
      <div className="flex flex-wrap items-end gap-4">
        <TextField
          label="Name of the class"
          hideLabel
          className="min-w-60 flex-1 text-2xl font-semibold"
          value={held.name}
          required
          onText={name => change(c => ({ ...c, name: name.slice(0, 200) }), 'name')}
        />
        <DateField label="Day" value={held.day} onDay={day => change(c => ({ ...c, day }), 'day')} />
        <TimeField
          label="Begins at"
          value={held.startsAt}
          onTime={startsAt => change(c => ({ ...c, startsAt }), 'begins at')}
        />
        <Button look="bare" onClick={() => remove(held)}>
          Delete
        </Button>
      </div>
      <Who held={held} change={change} />
      {!piece ? (
        <p className="text-lg">Choose what everybody makes.</p>
      ) : !sheet || !plan?.ok ? (
        <p className="text-lg">
          The plan of{' '}
          <Link to={`/pieces/${piece.id}/plan`} className="underline">
            {piece.name}
          </Link>{' '}
          is not finished: its grams are open.
        </p>
      ) : (
        <div className="grid gap-x-12 gap-y-6 lg:grid-cols-2">
          <div className="flex flex-col gap-5">
            <Packing held={held} change={change} kit={sheet.kit} stepG={plan.value.weigh?.stepG ?? 1} />
            <KitParts held={held} change={change} kits={sheet.kit.kits} />
          </div>
          <div className="flex flex-col gap-5">
            <SetUp held={held} sheet={sheet} piece={piece} />
            <Handouts piece={piece} plan={plan.value} people={held.people} />
            <TextField
              label="Notes"
              lines={3}
              value={held.notes}
              onText={notes => change(c => ({ ...c, notes }), 'notes')}
            />
          </div>
        </div>
      )}
    </div>
  );
};

/** One class: kits, set-up, times of each step, handouts, and what came back. */
export const ClassView = () => {
  const { classId = '' } = useParams();
  const classes = useLive(classKind);
  if (!classes) return <p className="p-4">Opening …</p>;
  const held = classes.find(c => c.id === classId);
  return held ? (
    <ClassOf key={classId} held={held} />
  ) : (
    <div className="p-8">
      <h1 className="text-3xl font-semibold">This class is not in this browser.</h1>
      <Link to="/classes" className="underline">
        Back to the classes
      </Link>
    </div>
  );
};
