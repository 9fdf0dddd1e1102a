import { useState } from 'react';
import { blendColour, lightAndDark, shades } from '../../core/colour/blend';
import { homeUnit, showFigure } from '../../core/units/units';
import { newWool, type Wool } from '../../records/wool';
import { useNotify } from '../../session/notices';
import { useWorkshop } from '../../session/workshop';
import { useAddWool } from '../../session/useChanges';
import { useSettings } from '../../session/useRecords';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { namedOptions, Select } from '../../ui/Select';

interface Part {
  readonly woolId: string;
  readonly grams: number;
}

const MOST_PARTS = 4;

/** A blend put together by hand: the colour its grams give, and how it goes from light to shadow. */
export const HandMixed = ({ wools }: { readonly wools: readonly Wool[] }) => {
  const [parts, setParts] = useState<readonly Part[]>([]);
  const { units } = useSettings();
  const add = useAddWool();
  const { tell, failed } = useNotify();
  const { chance, nowIso } = useWorkshop();
  const wool = (id: string): Wool | undefined => wools.find(w => w.id === id);
  const held = parts.flatMap(p => {
    const of = wool(p.woolId);
    return of && p.grams > 0 ? [{ colour: of.colour, share: p.grams, name: of.name, grams: p.grams }] : [];
  });
  const colour = held.length > 0 ? blendColour(held) : null;
  const ends = lightAndDark(wools);
  const keep = (): void => {
    if (colour === null) return;
    const grams = held.reduce((sum, p) => sum + p.grams, 0);
    const recipe = held.map(
      p => `${showFigure(p.grams, 'mass', { units })} ${homeUnit('mass', units)} ${p.name}`,
    );
    add({
      ...newWool({
        id: chance.newId(),
        name: `Blend of ${held.length}`,
        fibre: '',
        form: 'batt',
        colour,
        now: nowIso(),
      }),
      gramsCounted: grams,
      countedAt: nowIso(),
      notes: `Blended of ${recipe.join(', ')}.`,
    })
      .then(() =>
        tell({
          text: 'The blend is on the shelf. Take its wools off by hand: they were not weighed here.',
        }),
      )
      .catch(failed);
  };
  const free = wools.filter(w => !parts.some(p => p.woolId === w.id));
  return (
    <section aria-labelledby="trial">
      <h2 id="trial" className="border-t-2 border-ink pt-1 text-lg font-semibold">
        What would this give?
      </h2>
      <ul className="my-2 flex flex-col gap-2">
        {parts.map((part, i) => (
          <li key={part.woolId} className="flex items-end gap-3">
            <span
              className="size-8 shrink-0 rounded-full border border-rim"
              style={{ background: wool(part.woolId)?.colour }}
            />
            <span className="min-w-0 flex-1 truncate">{wool(part.woolId)?.name}</span>
            <NumberField
              className="w-24"
              hideLabel
              label={`Grams of ${wool(part.woolId)?.name ?? ''}`}
              shown={showFigure(part.grams, 'mass', { units })}
              unit={homeUnit('mass', units)}
              read={reader('mass', units, { min: 0, max: 100_000 })}
              onValue={grams => setParts(was => was.map((p, k) => (k === i ? { ...p, grams } : p)))}
            />
            <Button look="bare" onClick={() => setParts(was => was.filter((_, k) => k !== i))}>
              Leave out
            </Button>
          </li>
        ))}
      </ul>
      {parts.length < MOST_PARTS && free.length > 0 && (
        <Select
          hideLabel
          label="Add a wool"
          value=""
          options={namedOptions(free, 'Add a wool …')}
          onPick={woolId => setParts(was => [...was, { woolId, grams: 10 }])}
        />
      )}
      {colour && (
        <>
          <div
            className="mt-3 h-24 rounded-bench border border-rim"
            style={{ background: colour }}
            role="img"
            aria-label={`The colour it gives, ${colour}`}
            data-testid="blend-colour"
          />
          {ends && (
            <>
              <p className="mt-2 text-[13px] text-chalk">
                From light to shade, with {ends.light.name} and {ends.dark.name}
              </p>
              <div className="flex" aria-hidden="true">
                {shades(colour, ends.light.colour, ends.dark.colour).map(c => (
                  <span key={c} className="h-10 flex-1" style={{ background: c }} />
                ))}
              </div>
            </>
          )}
          <Button className="mt-3" onClick={keep}>
            Put the blend on the shelf
          </Button>
        </>
      )}
    </section>
  );
};
