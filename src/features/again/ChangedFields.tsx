import type { ReactNode } from 'react';
import { lengthOfShare, rescalePlan, type RescaledPlan, type ShareOf } from '../../core/plan/rescalePlan';
import type { PlanInput } from '../../core/plan/planInput';
import { showFigure, showQuantity, showShare, type UnitSystem } from '../../core/units/units';
import { useExpectation } from '../../session/useExpectation';
import { useWools } from '../../session/useRecords';
import { AXIS_WORDS } from '../../words/axes';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { HeadRow } from '../../ui/HeadRow';
import { NumberField } from '../../ui/NumberField';
import { reader, shrinkageReader } from '../../ui/readers';
import { namedOptions, Select } from '../../ui/Select';
import { Why } from '../../ui/Why';

const SHARE_OF: ReadonlyArray<{ readonly value: ShareOf; readonly text: string }> = [
  { value: 'length', text: 'length' },
  { value: 'area', text: 'area' },
  { value: 'volume', text: 'volume' },
];

export interface Wanted {
  readonly share: number;
  readonly of: ShareOf;
  readonly shrinkage: PlanInput['shrinkage'];
  readonly woolId: string | null;
}

/** What it was, and what it will be. */
const BeforeAfter = ({ recipe, units }: { readonly recipe: RescaledPlan; readonly units: UnitSystem }) => {
  const { before, after } = recipe;
  const lines = [
    [`finished ${before.kind.size.name}`, 'size', 'length'],
    [before.kind.laidName?.toLowerCase() ?? `laid ${before.kind.size.name}`, 'laidSize', 'length'],
    ['total wool', 'grams', 'mass'],
    ['thickness', 'thickness', 'thickness'],
    ['firmness', 'firmness', 'density'],
  ] as const;
  const power = before.form.solid ? 3 : 2;
  const [k, g] = (['size', 'grams'] as const).map(
    link => (after.values[link] ?? Number.NaN) / (before.values[link] ?? Number.NaN),
  );
  return (
    <>
      <table className="w-full text-right">
        <HeadRow rows="figure" columns={['was', 'will be']} />
        <tbody>
          {lines.map(([name, link, dimension]) => {
            const [was, will] = [before.values[link], after.values[link]];
            return was === undefined || will === undefined ? null : (
              <tr key={link} className="border-b border-rim">
                <th scope="row" className="text-left font-normal first-letter:uppercase">
                  {name}
                </th>
                <td>{showQuantity(was, dimension, units)}</td>
                <td className="font-semibold">{showQuantity(will, dimension, units)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <div className="flex items-start gap-1 text-[13px] text-chalk">
        <span className="flex-1">
          {(k ?? 1).toFixed(2)} times as long, {(g ?? 1).toFixed(2)} times the wool.
        </span>
        <Why of="this much wool">
          <p>
            The felt stays the same, so the wool of a {power === 3 ? 'solid' : 'sheet'} goes with its{' '}
            {power === 3 ? 'volume' : 'area'}: {(k ?? 1).toFixed(2)}
            <sup>{power}</sup> = {((k ?? 1) ** power).toFixed(2)}. Allowances and fold-over stay the same,
            which explains any small difference.
          </p>
        </Why>
      </div>
    </>
  );
};

/** The wool of the new one; its own shrinkage is taken when it has shown one. */
const WoolField = (props: {
  readonly woolId: string | null;
  readonly onWool: (id: string | null) => void;
  readonly onShrinkage: (s: PlanInput['shrinkage']) => void;
}) => {
  const wools = useWools().filter(w => (w.sort === 'wool' && w.deletedAt === null) || w.id === props.woolId);
  const known = useExpectation(props.woolId);
  return (
    <div className="flex flex-col">
      <Select
        label="Wool"
        value={props.woolId ?? ''}
        options={namedOptions(wools, 'not chosen yet')}
        onPick={id => props.onWool(id === '' ? null : id)}
      />
      {known && (
        <span className="mt-1 text-[13px]">
          Expected {showShare(known.along.mean)} lengthwise, {showShare(known.across.mean)} crosswise.{' '}
          <Button onClick={() => props.onShrinkage({ along: known.along.mean, across: known.across.mean })}>
            Use these
          </Button>
        </span>
      )}
    </div>
  );
};

/** What is asked of a plan that is made again. */
export const wantedOf = (plan: PlanInput, woolId: string | null): Wanted => ({
  share: 1,
  of: 'length',
  shrinkage: plan.shrinkage,
  woolId,
});

/** A plan as it will be; fails where a measure would be outside what is possible. */
export const changedPlan = (plan: PlanInput, wanted: Wanted) =>
  rescalePlan(plan, { lengthShare: lengthOfShare(wanted.share, wanted.of), shrinkage: wanted.shrinkage });

/** Another size, another shrinkage, another wool: what changes, and what comes of it. */
export const ChangedFields = (props: {
  readonly plan: PlanInput;
  readonly wanted: Wanted;
  readonly units: UnitSystem;
  readonly onWanted: (change: Partial<Wanted>) => void;
  /** What is chosen of wools; the one wool of the piece when left out. */
  readonly children?: ReactNode;
}) => {
  const { units, wanted, onWanted: set } = props;
  const recipe = changedPlan(props.plan, wanted);
  return (
    <>
      <div className="flex flex-wrap items-end gap-4">
        <NumberField
          className="w-28"
          label="As large as"
          shown={showFigure(wanted.share, 'share', { units, places: 1 }).replace(/\.0$/, '')}
          unit="%"
          read={reader('share', units, { min: 0.02, max: 30 })}
          onStep={n => set({ share: Math.max(0.05, wanted.share + n * 0.05) })}
          onValue={share => set({ share })}
        />
        <div>
          <p className="text-[13px] text-chalk">of its</p>
          <Choice label="of its" value={wanted.of} options={SHARE_OF} onChoose={of => set({ of })} />
        </div>
        {wanted.of !== 'length' && (
          <p className="text-[13px] text-chalk">
            That is {showShare(lengthOfShare(wanted.share, wanted.of))} of its length.
          </p>
        )}
      </div>
      <div className="flex flex-wrap items-end gap-4">
        {(['along', 'across'] as const).map(axis => (
          <NumberField
            key={axis}
            className="w-32"
            label={`Shrinkage ${AXIS_WORDS[axis]}`}
            shown={showFigure(wanted.shrinkage[axis], 'share', { units, places: 1 }).replace(/\.0$/, '')}
            unit="%"
            read={shrinkageReader(units)}
            onValue={v => set({ shrinkage: { ...wanted.shrinkage, [axis]: v } })}
          />
        ))}
      </div>
      {props.children ?? (
        <WoolField
          woolId={wanted.woolId}
          onWool={woolId => set({ woolId })}
          onShrinkage={shrinkage => set({ shrinkage })}
        />
      )}
      {recipe.ok ? (
        <BeforeAfter recipe={recipe.value} units={units} />
      ) : (
        <p role="alert">It cannot be made like this: a measure would be outside what is possible.</p>
      )}
    </>
  );
};
