import type { Kit } from '../../core/batch/kitOf';
import { scaleMass } from '../../core/units/scaleMass';
import { showQuantity } from '../../core/units/units';
import type { FeltClass } from '../../records/feltClass';
import { localDay } from '../../session/clock';
import { useSettings, useWools } from '../../session/useRecords';
import { useGramsLeft } from '../../session/useShelf';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { KIT_WORDS } from '../../words/kit';
import type { Change } from './sectionProps';

/** Kits: their wool against the shelf, what is packed; then what came back. */
export const Packing = (props: {
  readonly held: FeltClass;
  readonly change: Change;
  readonly kit: Kit;
  readonly stepG: number;
}) => {
  const { held, change, kit, stepG } = props;
  const { units } = useSettings();
  const wools = useWools();
  const gramsLeft = useGramsLeft();
  const { nowIso } = useWorkshop();
  const isPacked = held.packedAt !== null;
  const pack = (): void =>
    change(
      c => ({
        ...c,
        packedAt: nowIso(),
        packedKits: kit.kits,
        packed: kit.wools.flatMap(w => (w.woolId === null ? [] : [{ woolId: w.woolId, grams: w.each }])),
        back: null,
      }),
      'kits packed',
    );
  return (
    <section aria-labelledby="kits">
      <h2 id="kits" className="border-b border-ink text-lg font-semibold">
        {kit.kits} kits, {kit.spares} of them spare
      </h2>
      <ul>
        {kit.wools.map(({ woolId, each, all }) => {
          const wool = wools.find(w => w.id === woolId);
          const left = wool ? gramsLeft(wool) : null;
          const short = !isPacked && left !== null ? Math.max(0, all - left) : 0;
          return (
            <li key={woolId ?? 'none'} className="flex flex-wrap gap-x-4 border-b border-rim py-1">
              <span className="min-w-44 flex-1">
                {scaleMass(each, stepG, units)} {wool?.name ?? 'wool not chosen yet'} in each
              </span>
              <span className="tabular-nums">{showQuantity(all, 'mass', units)} altogether</span>
              <span className={`w-32 text-right ${short > 0 ? 'font-semibold text-wanted' : 'text-chalk'}`}>
                {isPacked
                  ? 'packed'
                  : short > 0
                    ? `${showQuantity(short, 'mass', units)} short`
                    : left === null
                      ? 'not counted'
                      : 'enough'}
              </span>
            </li>
          );
        })}
        {kit.packed.map(p => (
          <li key={p.thing} className="border-b border-rim py-1">
            {p.count} × {KIT_WORDS[p.thing]}
          </li>
        ))}
      </ul>
      {isPacked ? (
        <div className="mt-2 flex flex-wrap items-end gap-4">
          <p>
            {held.packedKits} kits were packed on {localDay(held.packedAt ?? '')}: their wool and parts are
            off the shelf.
          </p>
          <NumberField
            className="w-44"
            label="Kits that came back unused"
            shown={held.back ? String(held.back.kits) : ''}
            read={reader('count', units, { min: 0, max: held.packedKits })}
            onValue={kits =>
              change(c => ({ ...c, back: { kits: Math.round(kits), at: nowIso() } }), 'what came back')
            }
            onEmpty={() => change(c => ({ ...c, back: null }), 'what came back')}
          />
          <Button
            look="bare"
            onClick={() =>
              change(
                c => ({ ...c, packedAt: null, packed: [], packedKits: 0, back: null }),
                'kits not packed',
              )
            }
          >
            Not packed after all
          </Button>
        </div>
      ) : (
        <Button look="main" className="mt-2" onClick={pack}>
          The kits are packed
        </Button>
      )}
    </section>
  );
};
