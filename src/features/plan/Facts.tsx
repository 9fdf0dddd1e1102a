import type { Fact } from '../../core/forms/formKind';
import type { Plan } from '../../core/plan/makePlan';
import { showArea } from '../../core/units/showArea';
import { showVolume } from '../../core/units/showVolume';
import { showQuantity, type UnitSystem } from '../../core/units/units';
import { Why } from '../../ui/Why';

const CM3_PER_MM3 = 1e-3;

const figure = ({ value, dimension }: Fact, units: UnitSystem): string => {
  if (dimension === 'plain') return String(Number(value.toFixed(3)));
  if (dimension === 'area') return showArea(value, units);
  if (dimension === 'volume') return showVolume(value * CM3_PER_MM3, units);
  return showQuantity(value, dimension, units);
};

/** What is cut, each kind of cut once: "petal 1 … 5" is one line. */
const cutNames = (plan: Plan): string[] => {
  const names = plan.form.cuts.map(c => c.name);
  const kinds = new Map<string, number>();
  for (const name of names) {
    const plain = name.replace(/ \d+/, '');
    kinds.set(plain, (kinds.get(plain) ?? 0) + 1);
  }
  return [...kinds].map(([name, n]) => (n > 1 ? `${name} (${n})` : name));
};

/** What follows from the form beside the chain: figures with their reason, cuts, and what to mind. */
export const Facts = ({ plan, units }: { readonly plan: Plan; readonly units: UnitSystem }) => {
  const { facts, hints } = plan.form;
  const cuts = cutNames(plan);
  if (facts.length + hints.length + cuts.length === 0) return null;
  return (
    <section aria-labelledby="facts-title" className="mt-4 w-full border-t border-rim pt-3">
      <h2 id="facts-title" className="sr-only">
        From the form
      </h2>
      <dl className="flex flex-col">
        {facts.map(fact => (
          <div key={fact.name} className="flex items-center gap-2">
            <dt className="min-w-0 flex-1 first-letter:uppercase">{fact.name}</dt>
            <dd className="font-semibold">{figure(fact, units)}</dd>
            <Why of={fact.name}>
              <p>{fact.why}</p>
            </Why>
          </div>
        ))}
        {cuts.length > 0 && (
          <div className="flex gap-2">
            <dt>To cut:</dt>
            <dd>{cuts.join('; ')}</dd>
          </div>
        )}
      </dl>
      {hints.length > 0 && (
        <ul className="mt-2 list-disc pl-5 text-[13px] text-chalk">
          {hints.map(h => (
            <li key={h}>{h}</li>
          ))}
        </ul>
      )}
    </section>
  );
};
