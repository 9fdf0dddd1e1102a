import { useState } from 'react';
import {
  type Dimension,
  homeUnit,
  showFigure,
  showQuantity,
  showShare,
  type UnitSystem,
} from '../../core/units/units';
import { swatchOutcome } from '../../core/wool/swatchOutcome';
import { firmnessText } from '../../words/firmness';
import { newSwatch, type Swatch } from '../../records/swatch';
import type { Wool } from '../../records/wool';
import { useWorkshop } from '../../session/workshop';
import { useNotify } from '../../session/notices';
import { useAddSwatch, useChangeSwatch, useDeleteSwatch } from '../../session/useChanges';
import { useSettings, useSwatches, useWools } from '../../session/useRecords';
import { Button } from '../../ui/Button';
import { AtBench, pieceOfSwatch, useSwatchPieces, withBench } from './SwatchAtBench';
import { HeadRow } from '../../ui/HeadRow';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { namedOptions, Select } from '../../ui/Select';
import { Why } from '../../ui/Why';
import { useSteps } from '../../ui/useSteps';

const Figure = (props: {
  readonly label: string;
  readonly dimension: Dimension;
  readonly value: number | null;
  readonly max: number;
  readonly units: UnitSystem;
  readonly onValue: (value: number) => void;
  readonly onEmpty?: () => void;
}) => (
  <NumberField
    className="w-24"
    label={props.label}
    shown={props.value === null ? '' : showFigure(props.value, props.dimension, { units: props.units })}
    unit={props.dimension === 'count' ? '' : homeUnit(props.dimension, props.units)}
    read={reader(props.dimension, props.units, {
      min: props.dimension === 'count' ? 1 : 0.1,
      max: props.max,
    })}
    onValue={props.onValue}
    {...(props.onEmpty ? { onEmpty: props.onEmpty } : {})}
  />
);

/** A result with a reading put in; it is finished once it was measured both ways. */
const withReading = (swatch: Swatch, more: Partial<Swatch['result']>, now: string): Swatch => {
  const result = { ...swatch.result, ...more };
  const measured = result.along !== null && result.across !== null;
  return {
    ...swatch,
    result: { ...result, finishedAt: measured ? (swatch.result.finishedAt ?? now) : null },
  };
};

/** A figure of a swatch: what it is called, and what it is. */
interface SwatchField<K> {
  readonly key: K;
  readonly label: string;
  readonly dimension: Dimension;
  readonly max: number;
}
const LAID: ReadonlyArray<SwatchField<keyof Swatch['laid']>> = [
  { key: 'along', label: 'Lengthwise', dimension: 'length', max: 2000 },
  { key: 'across', label: 'Crosswise', dimension: 'length', max: 2000 },
  { key: 'grams', label: 'Wool', dimension: 'mass', max: 2000 },
  { key: 'layers', label: 'Layers', dimension: 'count', max: 50 },
];
const DRY: ReadonlyArray<SwatchField<Exclude<keyof Swatch['result'], 'finishedAt'>>> = [
  { key: 'along', label: 'Lengthwise, dry', dimension: 'length', max: 2000 },
  { key: 'across', label: 'Crosswise, dry', dimension: 'length', max: 2000 },
  { key: 'grams', label: 'Weight, dry', dimension: 'mass', max: 2000 },
  { key: 'thicknessMm', label: 'Thickness', dimension: 'thickness', max: 60 },
];

const SwatchRow = ({
  swatch,
  wool,
  units,
  at,
}: {
  readonly swatch: Swatch;
  readonly wool: Wool;
  readonly units: UnitSystem;
  readonly at: number;
}) => {
  const change = useChangeSwatch();
  const deleteSwatch = useDeleteSwatch();
  const isAtBench = pieceOfSwatch(swatch, useSwatchPieces([swatch])) !== null;
  const { nowIso } = useWorkshop();
  const lay = (key: keyof Swatch['laid'], label: string, value: number): void =>
    change(
      swatch.id,
      s => ({ ...s, laid: { ...s.laid, [key]: key === 'layers' ? Math.round(value) : value } }),
      { label: `swatch ${at}: ${label}`, key: `laid ${key}` },
    );
  const read = (key: keyof Swatch['result'], label: string, value: number | null): void => {
    const now = nowIso();
    change(swatch.id, s => withReading(s, { [key]: value }, now), {
      label: `swatch ${at}: ${label}`,
      key: `dry ${key}`,
    });
  };
  return (
    <li className="border-b border-rim py-2">
      <fieldset className="flex flex-wrap items-end gap-x-4 gap-y-1">
        <legend className="font-semibold">Swatch {at}, laid</legend>
        {LAID.map(({ key, ...field }) => (
          <Figure
            key={key}
            {...field}
            value={swatch.laid[key]}
            units={units}
            onValue={value => lay(key, field.label, value)}
          />
        ))}
        <Button
          look="bare"
          className="ml-auto"
          aria-label={`Remove swatch ${at}`}
          onClick={() => deleteSwatch(swatch, 'remove a swatch')}
        >
          Remove
        </Button>
      </fieldset>
      {!isAtBench && (
        <fieldset className="mt-1 flex flex-wrap items-end gap-x-4 gap-y-1">
          <legend className="text-[13px] text-chalk">felted fully and dry</legend>
          {DRY.map(({ key, ...field }) => (
            <Figure
              key={key}
              {...field}
              value={swatch.result[key]}
              units={units}
              onValue={value => read(key, field.label, value)}
              onEmpty={() => read(key, field.label, null)}
            />
          ))}
        </fieldset>
      )}
      {swatch.result.finishedAt === null && <AtBench swatch={swatch} wool={wool} />}
    </li>
  );
};

const shown = (value: number | null, how: (v: number) => string): string =>
  value === null ? '—' : how(value);

/** What swatches say, side by side: of one wool at several weights, or of two wools. */
const Outcomes = (props: {
  readonly rows: ReadonlyArray<{ readonly name: string; readonly swatch: Swatch }>;
  readonly units: UnitSystem;
}) => {
  const { rows, units } = props;
  return (
    <table className="mt-2 w-full text-right">
      <caption className="text-left text-[13px] text-chalk">
        What they tell you{' '}
        <Why of="what swatches tell you">
          <p>
            Shrinkage is (laid − dry) ÷ laid, each way. Weight per area is the dry weight divided by the dry
            area; if you did not weigh it dry, it counts all the wool. Firmness is that divided by the
            thickness.
          </p>
        </Why>
      </caption>
      <HeadRow rows="swatch" columns={['laid', 'lengthwise', 'crosswise', 'dry', 'thick', 'firmness']} />
      <tbody>
        {rows.map(({ name, swatch }) => {
          const o = swatchOutcome(swatch);
          return (
            <tr key={swatch.id} className="border-b border-rim">
              <th scope="row" className="text-left font-normal">
                {name}
              </th>
              <td>{showQuantity(o.arealLaid, 'areal', units)}</td>
              <td>{shown(o.along, showShare)}</td>
              <td>{shown(o.across, showShare)}</td>
              <td>{shown(o.arealFinished, v => showQuantity(v, 'areal', units))}</td>
              <td>{shown(o.thicknessMm, v => showQuantity(v, 'thickness', units))}</td>
              <td>{shown(o.firmness, v => firmnessText(v, units))}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
};

/** Swatches of a wool: planned, measured, read, and compared. */
export const Swatches = ({ wool }: { readonly wool: Wool }) => {
  const all = useSwatches().filter(s => s.deletedAt === null);
  const others = useWools().filter(w => w.id !== wool.id && all.some(s => s.woolId === w.id));
  const [beside, setBeside] = useState('');
  const add = useAddSwatch();
  const pieces = useSwatchPieces(all.filter(s => s.woolId === wool.id || s.woolId === beside));
  const { failed } = useNotify();
  const { chance, nowIso } = useWorkshop();
  const { units } = useSettings();
  const of = (woolId: string): readonly Swatch[] =>
    all.filter(s => s.woolId === woolId).toSorted((a, b) => (a.createdAt < b.createdAt ? -1 : 1));
  const own = of(wool.id);
  // One a frame, and what came of them after the last: each is a row of fields.
  const grown = useSteps(own.length + 2);
  const rows = [
    ...own.map((swatch, i) => ({ name: `swatch ${i + 1}`, swatch: withBench(swatch, pieces) })),
    ...of(beside).map((swatch, i) => ({
      name: `${others.find(w => w.id === beside)?.name ?? ''}, ${i + 1}`,
      swatch: withBench(swatch, pieces),
    })),
  ];
  return (
    <section aria-labelledby="swatches">
      <div className="flex flex-wrap items-center gap-4">
        <h3 id="swatches" className="text-lg font-semibold">
          Swatches
        </h3>
        <Button
          onClick={() =>
            void add(newSwatch({ id: chance.newId(), woolId: wool.id, now: nowIso() })).catch(failed)
          }
        >
          Plan a swatch
        </Button>
      </div>
      {own.length === 0 && (
        <p className="text-[13px] text-chalk">
          A square of known weight, felted as far as it goes and measured both ways, shows what this wool does
          before a piece depends on it.
        </p>
      )}
      <ul>
        {own.slice(0, grown).map((swatch, i) => (
          <SwatchRow key={swatch.id} swatch={swatch} wool={wool} units={units} at={i + 1} />
        ))}
      </ul>
      {grown > own.length && rows.length > 0 && <Outcomes rows={rows} units={units} />}
      {grown > own.length + 1 && own.length > 0 && others.length > 0 && (
        <Select
          className="mt-2 max-w-60"
          label="Beside"
          value={beside}
          options={namedOptions(others, 'no other wool')}
          onPick={setBeside}
        />
      )}
    </section>
  );
};
