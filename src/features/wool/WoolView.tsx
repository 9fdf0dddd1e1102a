import { memo, useMemo, useState } from 'react';
import { wayToLay } from '../../core/evenness/waysToLay';
import { distinctFaces } from '../../core/forms/distinctFaces';
import type { Polygon } from '../../core/outline/polygon';
import { habitOf } from '../../core/ways/habits';
import { wayOf } from '../../core/ways/register';
import { pileList } from '../../core/wool/pileList';
import type { Split } from '../../core/wool/splitScheme';
import type { WeighPlan } from '../../core/wool/weigh';
import { homeUnit, showFigure, showQuantity, type UnitSystem } from '../../core/units/units';
import { handOf } from '../../core/evenness/hand';
import { isScattered } from '../../core/wool/layOrder';
import { wayOnTable } from '../../drawing/orient';
import { pieceScene, type Scene } from '../../drawing/scene';
import { pieceWools } from '../../records/piece';
import { useLayers } from '../../session/useLayers';
import { type PieceContext, usePieceContext } from '../../session/pieceContext';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { Choice } from '../../ui/Choice';
import { calmly } from '../../ui/calmly';
import { ViewLayout } from '../../ui/ViewLayout';
import { UNDYED } from '../../core/wool/undyed';
import { CalmLegend } from '../../ui/table/Legend';
import { layerFill, LayerPattern } from '../../ui/table/LayerPattern';
import { CalmTable } from '../../ui/table/Table';
import { Batch } from './Batch';
import { EvennessMap } from './EvennessMap';
import { EvennessPanel, inLayers } from './EvennessPanel';
import { PlanClass } from './PlanClass';
import { LayerColours } from './LayerColours';
import { LayerChoice } from './LayerChoice';
import { LayUp } from './LayUp';
import { Needs } from './Needs';
import { SolidPiles, LayerPiles } from './Piles';
import { scaleMass } from '../../core/units/scaleMass';
import { Totals } from './Totals';
import { useEvenness } from './useEvenness';
import { WallSection } from './WallSection';
import { WeighEach } from './WeighEach';
import { WeighOut } from './WeighOut';

const splitWords = (split: Split, grams: number, units: UnitSystem): string => {
  const how =
    split.into === 2
      ? 'Halve each pile'
      : split.into === 3
        ? 'Divide each pile in thirds'
        : `Divide each pile in ${split.into} on the scale`;
  return `${how}: ${split.heaps} of ${showQuantity(grams / split.heaps, 'mass', units)}`;
};

const Weighing = ({ context, weigh }: { readonly context: PieceContext; readonly weigh: WeighPlan }) => {
  const { units } = context.settings;
  const { plan } = context.piece;
  return (
    <div className="mt-4 flex flex-wrap gap-5">
      <NumberField
        className="w-28"
        label="Scale reads to"
        shown={showFigure(plan.scaleStepG, 'mass', { units: units, places: units === 'metric' ? 1 : 2 })}
        unit={homeUnit('mass', units)}
        read={reader('mass', units, { min: 0.01, max: 100 })}
        onValue={v =>
          context.changePlan(p => ({ ...p, scaleStepG: v }), { label: 'scale step', key: 'step' })
        }
      />
      <NumberField
        className="w-28"
        label="Reserve"
        shown={showFigure(plan.reserveShare, 'share', { units: units })}
        unit="%"
        read={reader('share', units, { min: 0, max: 1.9 })}
        onValue={v =>
          context.changePlan(p => ({ ...p, reserveShare: v }), { label: 'reserve', key: 'reserve' })
        }
      />
      <NumberField
        className="w-28"
        label="Wool that stays in"
        shown={showFigure(plan.keptShare, 'share', { units: units })}
        unit="%"
        read={reader('share', units, { min: 0.05, max: 1 })}
        onValue={v =>
          context.changePlan(p => ({ ...p, keptShare: v }), { label: 'wool that stays', key: 'kept' })
        }
      />
      <p className="w-full text-[13px] text-chalk">
        A reserve of 5–10 % and 97 % left after rinsing and shaving are common practice.
        {!context.plan.ok || context.plan.value.form.solid
          ? ''
          : ` ${weigh.parts} equal parts of about ${showQuantity(weigh.partGrams, 'mass', units)}, rounded so that the piles add up exactly.`}
      </p>
    </div>
  );
};

/** Where the wool goes on the table: its own outline where there is a fold-over, else the laid one. */
const ringsOf = (scene: Scene | null): readonly Polygon[] => {
  const wool = scene?.shapes.filter(s => s.role === 'wool') ?? [];
  return (wool.length > 0 ? wool : (scene?.shapes.filter(s => s.role === 'laid') ?? [])).map(s => s.points);
};
const noFill = (): undefined => undefined;

// What follows is drawn after the figure that was typed.
const CalmNeeds = calmly(Needs);
const CalmPiles = calmly(LayerPiles);
const CalmSection = calmly(WallSection);
const CalmEvenness = calmly(EvennessPanel);
// Not drawn again for the layer or the side that is looked at.
const StillLayUp = memo(LayUp);
const StillWeighOut = memo(WeighOut);
const StillClass = memo(PlanClass);
const StillWeighing = memo(Weighing);

/** Wool: what to weigh, and how to part it. */
export const WoolView = () => {
  const context = usePieceContext();
  const look = useLayers(context);
  const { plan } = context;
  const fold = context.piece.plan.foldOverMm;
  const [face, setFace] = useState(0);
  const scene = useMemo(
    () => (plan.ok ? pieceScene(plan.value.form, { foldOverMm: fold, face }) : null),
    [plan, fold, face],
  );
  const [chosen, setChosen] = useState(0);
  const rings = useMemo(() => ringsOf(scene), [scene]);
  const plannedGsm = (plan.ok && plan.value.values.arealLaid) || 0;
  const layout = useEvenness({ rings, plannedGsm });
  const { piece } = context;
  const piles = useMemo(
    () => (plan.ok && plan.value.weigh ? pileList(plan.value.weigh, pieceWools(piece)) : []),
    [plan, piece],
  );
  if (!plan.ok || !scene) return <p className="p-4">Fix the plan first.</p>;
  const { weigh, form } = plan.value;
  const { units } = context.settings;
  const onResist = form.outlineIs === 'resist';
  const way = wayOf(plan.value.kind, form, context.piece.way);
  const isTurnedOut = way.habits.includes('inside') && habitOf(context.piece.habits, 'inside') === 'last';
  const layers = weigh?.faces[0]?.layers.length ?? 1;
  const shown = Math.min(chosen, layers - 1);
  const facesDiffer = distinctFaces(form).length > 1;
  const [simulated] = layout.laid;
  const colourOf = (layer: number): string => look.colourOf(layer) ?? UNDYED;
  const wayIn = (n: number) =>
    wayToLay({
      grams: weigh?.faces[face]?.grams ?? 0,
      planned: layers,
      layers: n,
      hand: handOf(context.settings.hand),
      directionOf: i => wayOnTable(form.alongOnTable, look.wayOf(i)),
    });
  return (
    <ViewLayout
      label="Wool"
      table={
        <>
          <CalmTable
            scene={scene}
            units={units}
            label="Where the wool goes"
            showMarks={false}
            fillOf={simulated ? noFill : layerFill(scene)}
            under={view =>
              simulated ? (
                <EvennessMap
                  field={simulated.field}
                  plannedGsm={plannedGsm}
                  view={view}
                  label={`One simulated layout in ${inLayers(simulated)}`}
                />
              ) : (
                <LayerPattern
                  colour={colourOf(shown)}
                  way={form.solid ? null : wayOnTable(form.alongOnTable, look.wayOf(shown))}
                  box={scene.box}
                />
              )
            }
          />
          <CalmLegend scene={scene} />
        </>
      }
      instruments={
        weigh ? (
          <>
            <Totals weigh={weigh} context={context} />
            <CalmNeeds context={context} plan={plan.value} weigh={weigh} piles={piles} />
            {context.wool?.form === 'fleece' && (
              <p className="mb-3 text-[13px] text-chalk">
                Raw fleece: wash your hands, cover cuts, keep it away from food. Carding makes dust: air the
                room.
              </p>
            )}
            {form.solid ? (
              <>
                <StillLayUp context={context} form={form} way={way} layers={layers} />
                {weigh.apart.length + weigh.faces.length > 1 &&
                  [...weigh.apart, ...weigh.faces].map(({ name }, part) => (
                    <LayerColours key={name} context={context} layer={part} name={name} />
                  ))}
                <SolidPiles weigh={weigh} units={units} />
                {context.piece.plan.pieces > 1 && <WeighEach context={context} times={weigh.times} />}
                {context.piece.plan.pieces > 1 && <Batch pieces={context.piece.plan.pieces} />}
              </>
            ) : (
              <>
                <LayerChoice layers={layers} shown={shown} way={look.wayOf(shown)} onShow={setChosen} />
                <StillLayUp context={context} form={form} way={way} layers={layers} />
                <LayerColours context={context} layer={shown} />
                {facesDiffer && (
                  <div className="mb-3">
                    <Choice
                      label="Side on the table"
                      value={String(face)}
                      options={form.faces.map((f, i) => ({ value: String(i), text: f.name }))}
                      onChoose={v => setFace(Number(v))}
                    />
                  </div>
                )}
                <CalmPiles
                  weigh={weigh}
                  units={units}
                  firstIs={onResist ? (isTurnedOut ? 'outside' : 'inside') : 'laid first'}
                />
              </>
            )}
            {weigh.scheme.length > 0 && !(form.solid && weigh.faces.length > 1) && (
              <>
                <h2 className="mt-4 text-lg font-semibold">Or divide by hand</h2>
                <ol className="mb-4 list-decimal pl-6">
                  {weigh.scheme.map(split => (
                    <li key={split.heaps}>{splitWords(split, weigh.total, units)}</li>
                  ))}
                </ol>
              </>
            )}
            {!form.solid && weigh.faces[0] && (
              <CalmSection
                face={weigh.faces[0]}
                colourOf={colourOf}
                wayOf={look.wayOf}
                onResist={onResist}
                isTurnedOut={isTurnedOut}
                mass={g => scaleMass(g, weigh.stepG, units)}
              />
            )}
            <StillWeighOut context={context} piles={piles} stepG={weigh.stepG} />
            <StillClass piece={context.piece} />
            <StillWeighing context={context} weigh={weigh} />
            {!form.solid && (
              <CalmEvenness
                settings={context.settings}
                units={units}
                ways={[wayIn(layers), wayIn(2 * layers)]}
                isScattered={isScattered(form, context.wool?.form ?? 'tops')}
                layout={layout}
              />
            )}
          </>
        ) : (
          <p>Fix the linked figures first: the total wool is still open.</p>
        )
      }
    />
  );
};
