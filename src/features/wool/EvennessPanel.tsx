import { useState } from 'react';
import { handOf } from '../../core/evenness/hand';
import { type Rows, TIDINESS, type Tidiness, USUAL_ROWS } from '../../core/evenness/shingle';
import type { WayToLay } from '../../core/evenness/waysToLay';
import { homeUnit, showFigure, showShare, type UnitSystem } from '../../core/units/units';
import type { Settings } from '../../records/settings';
import { useChangeSettings } from '../../session/useChanges';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { HeadRow } from '../../ui/HeadRow';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { Why } from '../../ui/Why';
import type { EvennessResult, useEvenness } from './useEvenness';

/** Wisps are weighed ten at a time: one is too light for a kitchen scale. */
const WISPS = 10;

const HandFields = ({ settings }: { readonly settings: Settings }) => {
  const change = useChangeSettings();
  const { units } = settings;
  const hand = handOf(settings.hand);
  const put = (more: Partial<NonNullable<Settings['hand']>>): void => {
    const { lengthMm, widthMm, grams } = hand;
    change({ hand: { lengthMm, widthMm, grams, ...more } });
  };
  const guess = settings.hand === null;
  return (
    <div className="flex flex-wrap items-end gap-4">
      <NumberField
        className="w-32"
        label="Ten wisps weigh"
        guess={guess}
        shown={showFigure(WISPS * hand.grams, 'mass', { units, places: units === 'metric' ? 1 : 3 })}
        unit={homeUnit('mass', units)}
        read={reader('mass', units, { min: 0.05, max: 400 })}
        onValue={v => put({ grams: v / WISPS })}
      />
      {(['lengthMm', 'widthMm'] as const).map(side => (
        <NumberField
          key={side}
          className="w-24"
          label={side === 'lengthMm' ? 'A wisp, long' : 'wide'}
          guess={guess}
          shown={showFigure(hand[side], 'length', { units })}
          unit={homeUnit('length', units)}
          read={reader('length', units, { min: 5, max: side === 'lengthMm' ? 800 : 400 })}
          onValue={v => put({ [side]: v })}
        />
      ))}
      {guess && (
        <p className="w-full text-[13px] text-chalk">Common practice, until you weigh ten of your own.</p>
      )}
    </div>
  );
};

const TIDY_WORDS: ReadonlyArray<{ readonly value: Tidiness; readonly text: string }> = [
  { value: 'very-tidy', text: 'very tidy' },
  { value: 'tidy', text: 'tidy' },
  { value: 'hasty', text: 'hasty' },
];
const tidinessOf = ({ jitter }: Rows): Tidiness =>
  TIDY_WORDS.find(t => TIDINESS[t.value].placeMm === jitter.placeMm)?.value ?? 'tidy';

/** In rows or at random; how tidy, how far rows overlap and reach over, and where they begin. */
const RowsFields = (props: {
  readonly rows: Rows | null;
  readonly units: UnitSystem;
  readonly onRows: (rows: Rows | null) => void;
}) => {
  const { rows, units, onRows } = props;
  return (
    <div className="mt-2 flex flex-wrap items-end gap-x-4 gap-y-2">
      <Choice
        label="How the wisps are laid"
        value={rows ? 'rows' : 'random'}
        options={[
          { value: 'rows', text: 'in rows' },
          { value: 'random', text: 'at random' },
        ]}
        onChoose={v => onRows(v === 'rows' ? USUAL_ROWS : null)}
      />
      {rows && (
        <>
          <Choice
            label="How tidy"
            value={tidinessOf(rows)}
            options={TIDY_WORDS}
            onChoose={tidy => onRows({ ...rows, jitter: TIDINESS[tidy] })}
          />
          <span className="flex flex-col">
            <span className="text-[13px] text-chalk">Rows begin</span>
            <Choice
              label="Rows begin"
              value={rows.sameEdge ? 'edge' : 'elsewhere'}
              options={[
                { value: 'elsewhere', text: 'each layer elsewhere' },
                { value: 'edge', text: 'at one edge' },
              ]}
              onChoose={v => onRows({ ...rows, sameEdge: v === 'edge' })}
            />
          </span>
          <NumberField
            className="w-24"
            label="Rows overlap"
            shown={showFigure(rows.overlap, 'share', { units })}
            unit="%"
            read={reader('share', units, { min: 0, max: 0.8 })}
            onValue={overlap => onRows({ ...rows, overlap })}
          />
          <NumberField
            className="w-36"
            label="Reach over the edge"
            shown={showFigure(rows.reachMm, 'length', { units })}
            unit={homeUnit('length', units)}
            read={reader('length', units, { min: 0, max: 60 })}
            onValue={reachMm => onRows({ ...rows, reachMm })}
          />
        </>
      )}
    </div>
  );
};

/** A way to lay it, by what tells it apart. */
export const inLayers = (way: WayToLay): string => `${way.layers.length} layers`;

const percent = (share: number): string => (share > 0 && share < 0.005 ? 'under 1 %' : showShare(share));

const Figures = ({ all }: { readonly all: ReadonlyArray<WayToLay & EvennessResult> }) => {
  const [first] = all;
  const edge = first?.evenness.edgeShare ?? 1;
  return (
    <>
      <table className="mt-3 w-full text-right">
        <HeadRow rows="laid in" columns={all.map(inLayers)} />
        <tbody>
          {(
            [
              ['unevenness, per cm²', e => `± ${showShare(e.variation)}`],
              ['thinner than half', e => percent(e.thinShare)],
              ['holes, about', e => String(Math.round(e.holes))],
              ['edges against the middle', e => showShare(e.edgeShare)],
            ] as ReadonlyArray<readonly [string, (e: EvennessResult['evenness']) => string]>
          ).map(([name, show]) => (
            <tr key={name} className="border-b border-rim">
              <th scope="row" className="text-left font-normal first-letter:uppercase">
                {name}
              </th>
              {all.map(way => (
                <td key={way.layers.length} className="font-semibold">
                  {show(way.evenness)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-[13px] text-chalk">
        On the table: the stronger the colour, the thicker. Striped red is under half of the plan, solid red
        almost nothing.
      </p>
      {edge < 0.97 && (
        <p className="mt-2">
          Lay about {showShare(1 / edge - 1)} more along the outer 2 cm to make it as thick as the middle.
        </p>
      )}
    </>
  );
};

/** How even a layout would lie, by chance and by hand; and whether more and thinner layers would lie better. */
export const EvennessPanel = (props: {
  readonly settings: Settings;
  readonly units: UnitSystem;
  readonly ways: readonly [WayToLay, WayToLay];
  /** Whether this wool, or this form, is usually laid at random: batts, balloons. */
  readonly isScattered: boolean;
  readonly layout: ReturnType<typeof useEvenness>;
}) => {
  const { settings, ways, layout } = props;
  const { laid, progress, clear, laidIn } = layout;
  const [rows, setRows] = useState<Rows | null>(props.isScattered ? null : USUAL_ROWS);
  const run = (which: readonly WayToLay[]): void => layout.run(which, rows);
  return (
    <section aria-labelledby="evenness" className="mt-5 border-t border-rim pt-3">
      <div className="flex items-center gap-2">
        <h2 id="evenness" className="flex-1 text-lg font-semibold">
          How even will it be?
        </h2>
        <Why of="this evenness">
          <p>
            Wisps of your size are laid over this outline, layer by layer, as many as the plan weighs, six
            times over: in rows like tiles with a hand’s jitter, or scattered at random, as batts and balloons
            are covered. The picture shows one of the six: darker is thicker, red is under half of the plan.
            Tidy rows come out about one and a half times as even as chance. Tried in simulations only.
          </p>
        </Why>
      </div>
      <HandFields settings={settings} />
      <RowsFields rows={rows} units={props.units} onRows={setRows} />
      <div className="mt-3 flex flex-wrap gap-2">
        <Button onClick={() => run([ways[0]])} disabled={progress !== null}>
          Try it out
        </Button>
        <Button onClick={() => run(ways)} disabled={progress !== null}>
          Compare with {inLayers(ways[1])}
        </Button>
        {laid.length > 0 && <Button onClick={clear}>Hide the picture</Button>}
      </div>
      {progress && (
        <p role="status" className="mt-2 flex items-center gap-3">
          Laying {progress.done} of {progress.of} … <Button onClick={progress.stop}>Cancel</Button>
        </p>
      )}
      {laid.length > 0 && (
        <p className="mt-2 text-[13px] text-chalk">
          The picture is of wool laid {laidIn === null ? 'at random' : 'in rows like tiles'}.
        </p>
      )}
      {laid.length > 0 && <Figures all={laid} />}
    </section>
  );
};
