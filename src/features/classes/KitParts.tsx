import { Link } from 'react-router';
import type { FeltClass } from '../../records/feltClass';
import { usePartsLeft } from '../../session/useNeeds';
import { useParts, useSettings } from '../../session/useRecords';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { namedOptions, Select } from '../../ui/Select';
import type { Change } from './sectionProps';

/** Parts that go into each kit: beads, caps, string. */
export const KitParts = (props: {
  readonly held: FeltClass;
  readonly change: Change;
  readonly kits: number;
}) => {
  const { held, change, kits } = props;
  const parts = useParts();
  const { units } = useSettings();
  const left = usePartsLeft();
  const { chance } = useWorkshop();
  const set = (id: string, more: Partial<FeltClass['parts'][number]>): void =>
    change(c => ({ ...c, parts: c.parts.map(p => (p.id === id ? { ...p, ...more } : p)) }), 'parts of a kit');
  return (
    <section aria-labelledby="kit-parts">
      <h2 id="kit-parts" className="border-b border-ink text-lg font-semibold">
        Parts of each kit
      </h2>
      <ul>
        {held.parts.map(slot => {
          const part = parts.find(p => p.id === slot.partId);
          const there = part ? left(part) : null;
          const short = there !== null && held.packedAt === null ? Math.max(0, slot.count * kits - there) : 0;
          return (
            <li key={slot.id} className="flex flex-wrap items-end gap-3 border-b border-rim py-1">
              <Select
                className="min-w-40 flex-1"
                label="Part"
                value={slot.partId ?? ''}
                options={namedOptions(parts, 'choose …')}
                onPick={id => set(slot.id, { partId: id === '' ? null : id })}
              />
              <NumberField
                className="w-24"
                label="In each"
                unit={part && part.unit !== 'pieces' ? part.unit : '×'}
                shown={String(slot.count)}
                read={reader('count', units, { min: 0.001, max: 100_000 })}
                onValue={count => set(slot.id, { count })}
              />
              <span className={short > 0 ? 'font-semibold text-wanted' : 'text-chalk'}>
                {part &&
                  (short > 0
                    ? `${Math.round(100 * short) / 100} short`
                    : there === null
                      ? 'not counted'
                      : 'enough')}
              </span>
              <Button
                look="bare"
                aria-label={`Remove ${part?.name ?? 'this part'}`}
                onClick={() =>
                  change(c => ({ ...c, parts: c.parts.filter(p => p.id !== slot.id) }), 'parts of a kit')
                }
              >
                Remove
              </Button>
            </li>
          );
        })}
      </ul>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <Button
          onClick={() =>
            change(
              c => ({ ...c, parts: [...c.parts, { id: chance.newId(), partId: null, count: 1 }] }),
              'parts of a kit',
            )
          }
        >
          Add a part
        </Button>
        <Link to="/parts" className="underline underline-offset-2">
          Parts on the shelf
        </Link>
      </div>
    </section>
  );
};
