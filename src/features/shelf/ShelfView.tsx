import { homeUnit, showFigure, showShare } from '../../core/units/units';
import { newWool, type Wool, WOOL_FORMS } from '../../records/wool';
import { newId, nowIso } from '../../session/clock';
import { useNotify } from '../../session/notices';
import { useAddWool, useChangeWool } from '../../session/useChanges';
import { useExperience } from '../../session/useExperience';
import { useSettings, useWools } from '../../session/useRecords';
import { useUndo } from '../../session/useUndo';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { ShownBy } from '../../ui/ShownBy';
import { TextField } from '../../ui/TextField';
import { useTitle } from '../../ui/useTitle';

const WoolRow = ({ wool }: { readonly wool: Wool }) => {
  const change = useChangeWool();
  const { units } = useSettings();
  const { undo } = useUndo();
  const { tell } = useNotify();
  const known = useExperience(wool.id);
  const put = (more: Partial<Wool>, label: string): void =>
    change(wool.id, w => ({ ...w, ...more }), { label, key: label });
  const remove = (): void => {
    put({ deletedAt: nowIso() }, `take ${wool.name} off the shelf`);
    tell({
      text: `${wool.name} is off the shelf.`,
      action: { label: 'Undo', run: undo },
    });
  };
  return (
    <li className="grid grid-cols-[2.5rem_1fr] gap-x-4 gap-y-1 border-b border-rim py-3 lg:grid-cols-[2.5rem_16rem_11rem_7rem_8rem_1fr_auto] lg:items-end">
      <label className="row-span-6 lg:row-span-1">
        <span className="sr-only">Colour of {wool.name}</span>
        <input
          type="color"
          className="swatch size-10 cursor-pointer rounded-full border border-rim bg-transparent p-0"
          value={wool.colour}
          onChange={e => put({ colour: e.target.value }, 'colour')}
        />
      </label>
      <TextField label="Name" value={wool.name} required onText={name => put({ name }, 'name')} />
      <TextField label="Fibre or breed" value={wool.fibre} onText={fibre => put({ fibre }, 'fibre')} />
      <label className="flex flex-col">
        <span className="text-[13px] text-chalk">Form</span>
        <select
          className="min-h-8 rounded-bench border border-rim bg-soap px-1"
          value={wool.form}
          onChange={e => put({ form: WOOL_FORMS.find(f => f === e.target.value) ?? 'batt' }, 'form')}
        >
          {WOOL_FORMS.map(f => (
            <option key={f}>{f}</option>
          ))}
        </select>
      </label>
      <NumberField
        label="On the shelf"
        shown={wool.gramsLeft === null ? '' : showFigure(wool.gramsLeft, 'mass', { units: units })}
        unit={homeUnit('mass', units)}
        read={reader('mass', units, { min: 0, max: 1_000_000 })}
        onValue={gramsLeft => put({ gramsLeft }, 'grams')}
        onEmpty={() => put({ gramsLeft: null }, 'grams')}
      />
      <div className="leading-tight">
        {known ? (
          <>
            <span className="flex items-center gap-1 text-lg font-semibold">
              {showShare(known.along.mean)} along, {showShare(known.across.mean)} across
              <ShownBy of={`the shrinkage of ${wool.name}`} pieces={known.shownBy} />
            </span>
            <span className="block text-[13px] text-chalk">
              shrinkage of {known.pieces === 1 ? 'one finished piece' : `${known.pieces} finished pieces`}
            </span>
          </>
        ) : (
          <span className="text-[13px] text-chalk">
            Nothing finished of it yet: plans use general practice.
          </span>
        )}
      </div>
      <Button look="bare" onClick={remove} aria-label={`Take ${wool.name} off the shelf`}>
        Remove
      </Button>
    </li>
  );
};

/** The shelf: which wools there are, and what they have done. */
export const ShelfView = () => {
  useTitle('Shelf');
  const wools = useWools().filter(w => w.deletedAt === null);
  const addWool = useAddWool();
  const { failed } = useNotify();
  const add = (): void => {
    addWool(
      newWool({ id: newId(), name: 'New wool', fibre: '', form: 'batt', colour: '#8a949a', now: nowIso() }),
    ).catch(failed);
  };
  return (
    <div className="min-h-0 flex-1 overflow-auto px-6 py-4">
      <div className="flex items-center gap-5">
        <h1 className="text-3xl font-semibold">Shelf</h1>
        <Button look="main" onClick={add}>
          Add a wool
        </Button>
      </div>
      {wools.length === 0 ? (
        <p className="mt-4 max-w-prose text-lg">
          No wool here yet. Add one, choose it in a plan, and when the piece is in the record its shrinkage is
          learnt.
        </p>
      ) : (
        <ul className="mt-2">
          {wools.map(w => (
            <WoolRow key={w.id} wool={w} />
          ))}
        </ul>
      )}
    </div>
  );
};
