import { useState } from 'react';
import type { Blend } from '../../core/colour/blend';
import { homeUnit, showFigure, showShare } from '../../core/units/units';
import { divide } from '../../core/wool/divide';
import type { Wool } from '../../records/wool';
import { useSettings, useWools } from '../../session/useRecords';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { useTitle } from '../../ui/useTitle';
import { Why } from '../../ui/Why';
import { HandMixed } from './HandMixed';
import { useBlends } from './useBlends';

/** Carding scales read to a tenth of a gram. */
const STEP_G = 0.1;

/** How far a colour is from another, in words. Source: CIEDE2000; where the words change is common practice. */
const nearness = (difference: number): string =>
  difference < 2 ? 'hard to tell apart' : difference < 5 ? 'near' : difference < 12 ? 'similar' : 'far off';

const RecipeRow = (props: {
  readonly recipe: Blend;
  readonly wanted: string;
  readonly grams: number;
  readonly wools: readonly Wool[];
}) => {
  const { recipe, wanted, wools } = props;
  const { units } = useSettings();
  const grams = divide(
    props.grams,
    recipe.parts.map(p => p.share),
    STEP_G,
  );
  const name = (id: string): string => wools.find(w => w.id === id)?.name ?? '';
  return (
    <li className="flex gap-4 border-b border-rim py-2">
      <span
        className="flex h-14 w-20 shrink-0 overflow-hidden rounded-bench border border-rim"
        aria-hidden="true"
      >
        <span className="flex-1" style={{ background: wanted }} />
        <span className="flex-1" style={{ background: recipe.colour }} />
      </span>
      <ul className="min-w-0 flex-1">
        {recipe.parts.map((part, i) => (
          <li key={part.id} className="flex gap-3">
            <span className="w-16 shrink-0 text-right font-semibold whitespace-nowrap tabular-nums">
              {showFigure(grams[i] ?? 0, 'mass', { units, places: 1 })} {homeUnit('mass', units)}
            </span>
            <span className="min-w-0 flex-1 truncate">{name(part.id)}</span>
            <span className="text-chalk">{showShare(part.share)}</span>
          </li>
        ))}
      </ul>
      <span className="w-36 shrink-0 text-right leading-tight">
        {nearness(recipe.difference)}
        <span className="block text-[13px] text-chalk">difference {recipe.difference.toFixed(1)}</span>
      </span>
    </li>
  );
};

/** Blend: grams of the wools on the shelf for a wanted colour, and the colour that grams give. */
export const BlendView = () => {
  useTitle('Blend');
  const wools = useWools().filter(w => w.deletedAt === null && w.sort === 'wool');
  const { units } = useSettings();
  const [wanted, setWanted] = useState('#6f7f6a');
  const [grams, setGrams] = useState(50);
  const { found, stop, find } = useBlends();
  return (
    <div className="min-h-0 flex-1 overflow-auto px-6 py-4">
      <div className="flex items-center gap-2">
        <h1 className="text-3xl font-semibold">Blend</h1>
        <Why of="these colours">
          <p>
            Carded fibres do not mix like paint: dark ones count for more than their share. Each of three
            bands of linear light is worked out by Stearns and Noechel’s relation for wool (1944, from
            memory). A real fibre has a whole spectrum, so try a pinch on the hand cards first. Closeness is
            CIEDE2000.
          </p>
        </Why>
      </div>
      <div className="mt-3 grid max-w-6xl gap-x-12 gap-y-6 lg:grid-cols-2">
        <section aria-labelledby="wanted">
          <h2 id="wanted" className="border-t-2 border-ink pt-1 text-lg font-semibold">
            A colour you want
          </h2>
          <div className="my-2 flex flex-wrap items-end gap-4">
            <label className="flex flex-col">
              <span className="text-[13px] text-chalk">Colour</span>
              <input
                type="color"
                className="swatch size-14 cursor-pointer rounded-full border border-rim bg-transparent p-0"
                value={wanted}
                onChange={e => setWanted(e.target.value)}
              />
            </label>
            <NumberField
              className="w-28"
              label="In all"
              shown={showFigure(grams, 'mass', { units })}
              unit={homeUnit('mass', units)}
              read={reader('mass', units, { min: 0.5, max: 100_000 })}
              onValue={setGrams}
            />
            <Button
              look="main"
              disabled={wools.length === 0 || stop !== null}
              onClick={() =>
                find(
                  wanted,
                  wools.map(({ id, colour }) => ({ id, colour })),
                )
              }
            >
              Find blends
            </Button>
            {stop && (
              <span role="status" className="flex items-center gap-2">
                Looking … <Button onClick={stop}>Cancel</Button>
              </span>
            )}
          </div>
          {wools.length === 0 && <p>There is no wool on the shelf to blend.</p>}
          {found && (
            <ol aria-label="Blends, closest first">
              {found.recipes.map(recipe => (
                <RecipeRow
                  key={recipe.parts.map(p => p.id).join()}
                  recipe={recipe}
                  wanted={found.wanted}
                  grams={grams}
                  wools={wools}
                />
              ))}
            </ol>
          )}
        </section>
        <HandMixed wools={wools} />
      </div>
    </div>
  );
};
