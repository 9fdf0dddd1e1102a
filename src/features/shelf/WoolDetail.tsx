import { Link } from 'react-router';
import { breedWarnings, breedWords } from '../../words/breeds';
import { homeUnit, showFigure, showQuantity } from '../../core/units/units';
import { SORTS, type Wool, WOOL_FORMS } from '../../records/wool';
import { useWorkshop } from '../../session/workshop';
import { useNotify } from '../../session/notices';
import { useChangeWool, useDeleteWool } from '../../session/useChanges';
import { useExpectations } from '../../session/useExpectation';
import { useSettings } from '../../session/useRecords';
import { useSummaries } from '../../session/useSummaries';
import { useGramsLeft, useGramsWeighed } from '../../session/useShelf';
import { useUndo } from '../../session/useUndo';
import { Button } from '../../ui/Button';
import { Expected } from '../../ui/Expected';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { Select, wordOptions } from '../../ui/Select';
import { TextField } from '../../ui/TextField';
import { usePicked } from '../../ui/usePicked';
import { useSteps } from '../../ui/useSteps';
import { Swatches } from './Swatches';

/** A figure without a unit system of its own: micrometres, money, grams of a metre. */
const plain = (text: string, most: number) => {
  const value = Number(text.trim().replace(',', '.'));
  return Number.isFinite(value) && value > 0 && value <= most
    ? { ok: true as const, value }
    : { ok: false as const, why: `A number above 0, up to ${most}.` };
};

const Facts = ({ wool }: { readonly wool: Wool }) => {
  const change = useChangeWool();
  const { units } = useSettings();
  const { nowIso } = useWorkshop();
  const left = useGramsLeft()(wool);
  const put = (more: Partial<Wool>, label: string): void =>
    change(wool.id, w => ({ ...w, ...more }), { label, key: label });
  const steps = useSteps(2);
  const [colour, pickColour] = usePicked(wool.colour, picked => put({ colour: picked }, 'colour'));
  return (
    <div className="grid grid-cols-[3rem_1fr_1fr] gap-x-4 gap-y-3 sm:grid-cols-[3rem_2fr_2fr_1fr_1fr]">
      <label className="row-span-2">
        <span className="sr-only">Colour of {wool.name}</span>
        <input
          type="color"
          className="swatch size-12 cursor-pointer rounded-full border border-rim bg-transparent p-0"
          value={colour}
          onChange={e => pickColour(e.target.value)}
        />
      </label>
      <TextField label="Name" value={wool.name} required onText={name => put({ name }, 'name')} />
      <TextField label="Fibre or breed" value={wool.fibre} onText={fibre => put({ fibre }, 'fibre')} />
      <Select
        label="What it is"
        value={wool.sort}
        options={wordOptions(SORTS)}
        onPick={sort => put({ sort }, 'sort')}
      />
      <Select
        label="Form"
        value={wool.form}
        options={wordOptions(WOOL_FORMS)}
        onPick={form => put({ form }, 'form')}
      />
      <NumberField
        label="On the shelf"
        shown={left === null ? '' : showFigure(left, 'mass', { units })}
        unit={homeUnit('mass', units)}
        read={reader('mass', units, { min: 0, max: 1_000_000 })}
        onValue={gramsCounted => put({ gramsCounted, countedAt: nowIso() }, 'grams')}
        onEmpty={() => put({ gramsCounted: null, countedAt: null }, 'grams')}
      />
      {steps > 1 && (
        <>
          <NumberField
            label="Fineness"
            shown={wool.micron === null ? '' : String(wool.micron)}
            unit="µm"
            read={text => plain(text, 200)}
            onValue={micron => put({ micron }, 'fineness')}
            onEmpty={() => put({ micron: null }, 'fineness')}
          />
          <NumberField
            label="Price per 100 g"
            shown={wool.per100g === null ? '' : String(wool.per100g)}
            read={text => plain(text, 100_000)}
            onValue={per100g => put({ per100g }, 'price')}
            onEmpty={() => put({ per100g: null }, 'price')}
          />
          <NumberField
            label="Weight of 1 m of top"
            shown={wool.ropeGPerM === null ? '' : String(wool.ropeGPerM)}
            unit="g"
            read={text => plain(text, 1000)}
            onValue={ropeGPerM => put({ ropeGPerM }, 'rope')}
            onEmpty={() => put({ ropeGPerM: null }, 'rope')}
          />
          <TextField
            className="col-span-full"
            label="Notes"
            lines={2}
            value={wool.notes}
            onText={notes => put({ notes }, 'notes')}
          />
        </>
      )}
    </div>
  );
};

/** Pieces that were made of it, or are planned in it. */
const UsedFor = ({ wool }: { readonly wool: Wool }) => {
  const weighed = useGramsWeighed();
  const { units } = useSettings();
  const used = useSummaries().filter(p => p.woolIds.includes(wool.id));
  return (
    <section aria-labelledby="used-for">
      <h3 id="used-for" className="text-lg font-semibold">
        Used for
      </h3>
      {used.length === 0 ? (
        <p className="text-[13px] text-chalk">Nothing yet.</p>
      ) : (
        <ul className="flex flex-wrap gap-x-5">
          {used.map(p => (
            <li key={p.id}>
              <Link className="underline" to={`/pieces/${p.id}/plan`}>
                {p.name}
              </Link>
              {weighed(wool.id, p.id) > 0 && (
                <span className="text-chalk"> {showQuantity(weighed(wool.id, p.id), 'mass', units)}</span>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
};

/** One wool: what it is, what is left of it, what it is expected to do, and what it was used for. */
export const WoolDetail = ({ wool }: { readonly wool: Wool }) => {
  const expect = useExpectations();
  const { undo } = useUndo();
  const { tell } = useNotify();
  const deleteWool = useDeleteWool();
  const known = expect(wool);
  const steps = useSteps(5);
  const remove = (): void => {
    deleteWool(wool, `take ${wool.name} off the shelf`);
    tell({ text: `${wool.name} is off the shelf.`, action: { label: 'Undo', run: undo } });
  };
  return (
    <div className="flex flex-col gap-5 *:isolate">
      <div className="flex items-center gap-4">
        <h2 className="flex-1 text-2xl font-semibold">{wool.name}</h2>
        <Button look="bare" onClick={remove} aria-label={`Take ${wool.name} off the shelf`}>
          Remove
        </Button>
      </div>
      {steps > 1 && <Facts wool={wool} />}
      {known.breed && <p>{breedWords(known.breed)} (common practice).</p>}
      {known.breed && breedWarnings(known.breed).length > 0 && (
        <ul className="border-l-4 border-now pl-3">
          {breedWarnings(known.breed).map(w => (
            <li key={w}>{w} (common practice)</li>
          ))}
        </ul>
      )}
      {steps > 2 && wool.sort === 'wool' && (
        <>
          <section aria-labelledby="expected">
            <h3 id="expected" className="text-lg font-semibold">
              Expected shrinkage
            </h3>
            <Expected
              name={wool.name}
              expected={known}
              shownBy={known.shownBy}
              others={known.others}
              breedName={known.breed?.name ?? null}
            />
          </section>
          {steps > 3 && <Swatches wool={wool} />}
        </>
      )}
      {steps > 4 && <UsedFor wool={wool} />}
    </div>
  );
};
