import { useState } from 'react';
import { homeUnit, showFigure, showQuantity, type UnitSystem } from '../../core/units/units';
import type { ScalePile } from '../../core/wool/pileList';
import { allowedG, type PileState, weighState } from '../../core/wool/weighState';
import type { Wool } from '../../records/wool';
import { useBench } from '../../session/useBench';
import type { PieceContext } from '../../session/pieceContext';
import { useWools } from '../../session/useRecords';
import { type Scale, useScale } from '../../session/useScale';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { UNDYED } from '../../core/wool/undyed';
import { scaleMass } from '../../core/units/scaleMass';
import { Select } from '../../ui/Select';
import { ScaleChoice } from './ScaleChoice';
import { useLabels } from './useLabels';

const pileWords = (pile: ScalePile, pieces: number): string =>
  [
    pieces > 1 ? `piece ${pile.piece}` : null,
    pile.decoration === '' ? 'decoration' : pile.face,
    pile.layer === null ? null : `layer ${pile.layer}`,
  ]
    .filter(Boolean)
    .join(', ');

/** How far the scale is from what is wanted, in words that a glance reads. */
const offWords = (net: number, wanted: number, of: { mass: (g: number) => string; stepG: number }): string =>
  Math.abs(net - wanted) <= allowedG(wanted, of.stepG)
    ? 'right'
    : net < wanted
      ? `${of.mass(wanted - net)} to go`
      : `${of.mass(net - wanted)} over`;

/** A bowl that is touched moves by less than this. */
const STIRRED_G = 0.5;
/** One pile at a time: what it should weigh, what lies on the scale, and a button as large as the pile matters. */
const Now = (props: {
  readonly pile: PileState;
  readonly name: string;
  readonly wool: Wool | null;
  readonly stepG: number;
  readonly units: UnitSystem;
  /** Stays connected from pile to pile, and so does its bowl. */
  readonly scale: Scale;
  readonly tare: number;
  readonly onTare: (grams: number) => void;
  /** True while the pile that was taken last still lies there: it is not taken twice. */
  readonly isOldPile: boolean;
  readonly onTake: (grams: number, tareG: number) => void;
}) => {
  const { pile, stepG, units, wool, scale, tare } = props;
  const [typed, setTyped] = useState<number | null>(null);
  const mass = (g: number): string => scaleMass(g, stepG, units);
  const net = typed ?? (scale.grams === null ? null : Math.max(0, scale.grams - tare));
  const ready = net !== null && (typed !== null || (scale.isStill && !props.isOldPile));
  const take = (): void => {
    if (net === null) return;
    props.onTake(Number(net.toFixed(3)), typed === null ? tare : 0);
    setTyped(null);
  };
  return (
    <div className="border-y-2 border-ink py-3">
      <p className="flex items-center gap-2 text-lg">
        <span
          className="size-7 shrink-0 rounded-full border border-rim"
          style={{ background: wool?.colour ?? UNDYED }}
        />
        <span className="font-semibold first-letter:uppercase">{props.name}</span>
        <span className="text-chalk">{wool?.name ?? ''}</span>
      </p>
      <p className="mt-1 flex items-baseline gap-4">
        <span className="text-6xl font-semibold tabular-nums" data-testid="pile-wanted">
          {mass(pile.wanted)}
        </span>
        <span className="text-3xl tabular-nums text-chalk" aria-live="polite" data-testid="on-scale">
          {net === null || (typed === null && props.isOldPile)
            ? ''
            : `${mass(net)}, ${offWords(net, pile.wanted, { mass, stepG })}`}
        </span>
      </p>
      {typed === null && props.isOldPile && (
        <p>Take the last pile off, or press Tare, and put the next one on.</p>
      )}
      {wool?.ropeGPerM && (
        <p className="text-lg">
          Without a scale: {showQuantity((pile.wanted / wool.ropeGPerM) * 1000, 'length', units)} of the top.
        </p>
      )}
      <div className="mt-3 flex flex-wrap items-end gap-4">
        <NumberField
          className="w-32"
          label="On the scale"
          shown={
            net === null
              ? ''
              : showFigure(net, 'mass', { units, places: stepG >= 1 ? 0 : stepG >= 0.1 ? 1 : 2 })
          }
          unit={homeUnit('mass', units)}
          read={reader('mass', units, { min: 0, max: 100_000 })}
          onValue={setTyped}
          onEmpty={() => setTyped(null)}
        />
        {scale.grams !== null && (
          <Button
            onClick={() => {
              props.onTare(scale.grams ?? 0);
              setTyped(null);
            }}
          >
            Tare{tare > 0 ? ` (bowl ${mass(tare)})` : ''}
          </Button>
        )}
        <Button look="main" size="wet" disabled={!ready} onClick={take}>
          Weighed
        </Button>
      </div>
      <div className="mt-3">
        <ScaleChoice scale={scale} />
      </div>
    </div>
  );
};

/** Weighing out: pile by pile, each logged against its plan; what is left is shared anew over what is still to weigh. */
export const WeighOut = (props: {
  readonly context: PieceContext;
  readonly piles: readonly ScalePile[];
  /** Grams in which they are told. */
  readonly stepG: number;
}) => {
  const { context, piles, stepG } = props;
  const { units } = context.settings;
  const wools = useWools();
  const saveLabels = useLabels();
  const bench = useBench(context.piece.id, context.entries);
  const state = weighState(
    piles,
    context.weighings.map(e => e.act),
    stepG,
  );
  const scale = useScale(stepG);
  const [tare, setTare] = useState(0);
  const [taken, setTaken] = useState<number | null>(null);
  const isOldPile =
    taken !== null && scale.grams !== null && Math.abs(scale.grams - taken) <= Math.max(stepG, STIRRED_G);
  const [again, setAgain] = useState<string | null>(null);
  const current = state.piles.find(p => p.id === again) ?? state.next;
  const pieces = piles.at(-1)?.piece ?? 1;
  const listed = current?.piece ?? pieces;
  const mass = (g: number): string => scaleMass(g, stepG, units);
  const wool = (id: string | null): Wool | null => wools.find(w => w.id === id) ?? null;
  const takeBack = context.weighings.at(-1);
  const labels = (): void =>
    saveLabels(
      state.piles.map(p => ({
        grams: mass(p.weighed ?? p.wanted),
        lines: [pileWords(p, pieces), wool(p.woolId)?.name ?? 'wool not chosen yet', context.piece.name],
        colour: wool(p.woolId)?.colour ?? UNDYED,
      })),
      context.piece.name,
    );
  return (
    <section aria-labelledby="weigh-out" className="mt-5">
      <h2 id="weigh-out" className="text-lg font-semibold">
        On the scale, pile by pile
      </h2>
      {current ? (
        <Now
          key={current.id}
          pile={again === null ? current : { ...current, wanted: current.grams }}
          name={pileWords(current, pieces)}
          wool={wool(current.woolId)}
          stepG={stepG}
          units={units}
          scale={scale}
          tare={tare}
          onTare={grams => {
            setTare(grams);
            setTaken(null);
          }}
          isOldPile={isOldPile}
          onTake={(grams, tareG) => {
            setAgain(null);
            setTaken(scale.grams);
            void bench.log({
              kind: 'weigh',
              pile: current.id,
              woolId: current.woolId,
              grams,
              plannedG: current.grams,
              tareG,
            });
          }}
        />
      ) : (
        <p className="border-y-2 border-ink py-3 text-xl font-semibold">Everything is weighed.</p>
      )}
      {state.unequal.map(u => (
        <p key={`${u.face}${u.layer}`} role="alert" className="mt-2 border-l-4 border-wanted pl-3">
          {u.face}
          {u.layer === null ? '' : `, layer ${u.layer}`}: the pieces differ by {mass(u.byG)}. A pair wants
          equal grams.
        </p>
      ))}
      <div className="mt-2 flex flex-wrap gap-2">
        <Button onClick={labels}>Labels to print</Button>
        {takeBack && <Button onClick={() => void bench.takeBack(takeBack.id)}>Undo the last weighing</Button>}
      </div>
      {pieces > 1 && (
        <Select
          className="mt-2 max-w-48"
          label="Piles of"
          value={String(listed)}
          options={Array.from({ length: pieces }, (_, i) => ({
            value: String(i + 1),
            text: `piece ${i + 1} of ${pieces}`,
          }))}
          onPick={piece => setAgain(state.piles.find(p => p.piece === Number(piece))?.id ?? null)}
        />
      )}
      <ol className="mt-2 columns-2 gap-6">
        {state.piles
          .filter(p => p.piece === listed)
          .map(p => (
            <li key={p.id} className="flex items-center gap-2 border-b border-rim">
              <span
                className="size-4 shrink-0 rounded-full border border-rim"
                style={{ background: wool(p.woolId)?.colour ?? UNDYED }}
              />
              <button
                type="button"
                className="min-w-0 flex-1 truncate py-1 text-left"
                aria-current={p.id === current?.id ? 'step' : undefined}
                onClick={() => setAgain(p.id)}
              >
                <span className="inline-block first-letter:uppercase">{pileWords(p, pieces)}</span>
              </button>
              <span className={p.weighed === null ? 'text-chalk' : 'font-semibold'}>
                {p.weighed === null ? mass(p.wanted) : `✓ ${mass(p.weighed)}${p.isOff ? ' !' : ''}`}
              </span>
            </li>
          ))}
      </ol>
    </section>
  );
};
