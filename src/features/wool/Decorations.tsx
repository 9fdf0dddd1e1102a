import { type Decoration, DECORATION_KINDS } from '../../core/wool/layOrder';
import { homeUnit, showFigure, type UnitSystem } from '../../core/units/units';
import { useWorkshop } from '../../session/workshop';
import { useWools } from '../../session/useRecords';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { namedOptions, Select } from '../../ui/Select';
import { TextField } from '../../ui/TextField';

const KIND_WORDS = {
  motif: 'motif, yarn, locks',
  silk: 'silk, under a veil of wool',
  stem: 'stem or cord',
} as const;

/** What is laid beside the layers: each becomes a step in its place. */
export const Decorations = (props: {
  readonly decorations: readonly Decoration[];
  readonly faces: number;
  readonly units: UnitSystem;
  /** What becomes of those that there are by then: two changes may come quicker than they are drawn. */
  readonly onChange: (change: (was: readonly Decoration[]) => Decoration[]) => void;
}) => {
  const { decorations, faces, units, onChange } = props;
  const { chance } = useWorkshop();
  const wools = useWools().filter(w => w.deletedAt === null || decorations.some(d => d.woolId === w.id));
  const change = (id: string, more: Partial<Decoration>): void =>
    onChange(was => was.map(d => (d.id === id ? { ...d, ...more } : d)));
  const add = (): void =>
    onChange(was => [
      ...was,
      { id: chance.newId(), kind: 'motif', name: '', face: 1, first: false, woolId: null, grams: null },
    ]);
  return (
    <div>
      <ul className="flex flex-col gap-2">
        {decorations.map((d, i) => (
          <li key={d.id} className="flex flex-wrap items-end gap-2 border-b border-rim pb-1">
            <TextField
              className="min-w-32 flex-1"
              label={`Decoration ${i + 1}`}
              value={d.name}
              onText={name => change(d.id, { name: name.slice(0, 200) })}
            />
            <Select
              hideLabel
              label={`Kind of decoration ${i + 1}`}
              value={d.kind}
              options={DECORATION_KINDS.map(value => ({ value, text: KIND_WORDS[value] }))}
              onPick={kind => change(d.id, { kind })}
            />
            {faces > 1 && (
              <Select
                hideLabel
                label={`Side of decoration ${i + 1}`}
                value={String(d.face)}
                options={Array.from({ length: faces }, (_, f) => ({
                  value: String(f + 1),
                  text: `side ${f + 1}`,
                }))}
                onPick={face => change(d.id, { face: Number(face) })}
              />
            )}
            <Select
              hideLabel
              label={`When decoration ${i + 1} is laid`}
              value={d.first ? 'first' : 'last'}
              options={[
                { value: 'last', text: 'last, on top' },
                { value: 'first', text: 'first, face down' },
              ]}
              onPick={when => change(d.id, { first: when === 'first' })}
            />
            <Select
              className="flex-1"
              hideLabel
              label={`What decoration ${i + 1} is taken from`}
              value={d.woolId ?? ''}
              options={namedOptions(wools, 'not from the shelf')}
              onPick={id => change(d.id, { woolId: id === '' ? null : id })}
            />
            <NumberField
              className="w-20"
              hideLabel
              label={`Grams of decoration ${i + 1}`}
              shown={d.grams === null ? '' : showFigure(d.grams, 'mass', { units })}
              unit={homeUnit('mass', units)}
              read={reader('mass', units, { min: 0, max: 100_000 })}
              onValue={grams => change(d.id, { grams })}
              onEmpty={() => change(d.id, { grams: null })}
            />
            <Button
              look="bare"
              aria-label={`Remove decoration ${i + 1}`}
              onClick={() => onChange(was => was.filter(other => other.id !== d.id))}
            >
              Remove
            </Button>
          </li>
        ))}
      </ul>
      <Button className="mt-1" onClick={add}>
        Add a motif, silk or stem
      </Button>
    </div>
  );
};
