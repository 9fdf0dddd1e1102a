import type { FaceWeight, WeighPlan } from '../../core/wool/weigh';
import { showQuantity, type UnitSystem } from '../../core/units/units';
import { scaleMass } from '../../core/units/scaleMass';
import { HeadRow } from '../../ui/HeadRow';

interface PilesProps {
  readonly weigh: WeighPlan;
  readonly units: UnitSystem;
}

/** How often the piles are weighed, where more than one piece is laid. */
const Times = ({ times }: { readonly times: number }) =>
  times > 1 ? (
    <p className="mb-1 font-semibold">
      Weigh all of this {times} times, each the same: what belongs together needs equal weights.
    </p>
  ) : null;

/** What is weighed for each layer of each face. */
export const LayerPiles = ({
  weigh,
  units,
  firstIs,
}: PilesProps & { readonly firstIs: 'inside' | 'outside' | 'laid first' }) => {
  const mass = (g: number): string => scaleMass(g, weigh.stepG, units);
  const layers = weigh.faces[0]?.layers.map((_, i) => i) ?? [];
  return (
    <>
      <Times times={weigh.times} />
      <table className="w-full">
        <caption className="text-left text-lg font-semibold">Weigh out</caption>
        <HeadRow rows="layer" columns={weigh.faces.map(f => f.name)} />
        <tbody className="text-right text-lg">
          {layers.map(i => (
            <tr key={i} className="border-b border-rim">
              <th scope="row" className="text-left text-base font-normal">
                {i + 1}
                {i === 0 && ` (${firstIs})`}
              </th>
              {weigh.faces.map(f => (
                <td key={f.name}>{mass(f.layers[i] ?? 0)}</td>
              ))}
            </tr>
          ))}
        </tbody>
        <tfoot className="text-right">
          <tr>
            <th scope="row" className="text-left font-normal">
              side
            </th>
            {weigh.faces.map(f => (
              <td key={f.name} className="font-semibold">
                {mass(f.grams)}
              </td>
            ))}
          </tr>
        </tfoot>
      </table>
    </>
  );
};

/** Of one pile the scale must tell at least so many steps, or the pile is weighed together with others. */
const FEWEST_STEPS = 5;

const tooFine = (heap: FaceWeight, stepG: number): boolean =>
  heap.equal > 1 && heap.eachGrams < FEWEST_STEPS * stepG;

/** What is weighed for a solid: its heaps, and what each of the equal ones gets. */
export const SolidPiles = ({ weigh, units }: PilesProps) => (
  <>
    <Times times={weigh.times} />
    <table className="w-full">
      <caption className="text-left text-lg font-semibold">Weigh out</caption>
      <HeadRow rows="pile" columns={['total', 'each']} />
      <tbody className="text-right text-lg">
        {weigh.apart.map(({ name, grams }) => (
          <tr key={name} className="border-b border-rim align-baseline">
            <th scope="row" className="text-left text-base font-normal">
              {name}, by its own weight
            </th>
            <td>{showQuantity(grams, 'mass', units)}</td>
            <td className="font-semibold">{showQuantity(grams, 'mass', units)}</td>
          </tr>
        ))}
        {weigh.faces.map(heap => (
          <tr key={heap.name} className="border-b border-rim align-baseline">
            <th scope="row" className="text-left text-base font-normal">
              {heap.name}
              {heap.equal > 1 && `, for ${heap.equal}`}
              {tooFine(heap, weigh.stepG) && (
                <span className="block text-[13px] text-chalk">
                  Too little for this scale one by one: weigh them together and divide by hand.
                </span>
              )}
            </th>
            <td>{scaleMass(heap.grams, weigh.stepG, units)}</td>
            <td className="font-semibold">
              {heap.equal > 1
                ? showQuantity(heap.eachGrams, 'mass', units)
                : scaleMass(heap.grams, weigh.stepG, units)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  </>
);
