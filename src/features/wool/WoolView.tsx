import { useMemo, useState } from 'react';
import { layerDirection } from '../../core/wool/layerDirection';
import type { Split } from '../../core/wool/splitScheme';
import type { WeighPlan } from '../../core/wool/weigh';
import { homeUnit, showFigure, showQuantity, type UnitSystem } from '../../core/units/units';
import { tableAngle } from '../../drawing/orient';
import { pieceScene } from '../../drawing/scene';
import { type PieceStage, usePieceStage } from '../../session/pieceStage';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { StageLayout } from '../../ui/StageLayout';
import { Legend } from '../../ui/table/Legend';
import { Table } from '../../ui/table/Table';
import { layerFill, LayerChoice, LayerPattern } from './Layers';
import { scaleMass } from './scaleMass';
import { Totals } from './Totals';
import { WallSection } from './WallSection';

const UNDYED = '#b9b2a3';

const splitWords = (split: Split, grams: number, units: UnitSystem): string => {
  const how =
    split.into === 2
      ? 'Halve each heap'
      : split.into === 3
        ? 'Part each heap in thirds'
        : `Part each heap in ${split.into} on the scale`;
  return `${how}: ${split.heaps} of ${showQuantity(grams / split.heaps, 'mass', units)}`;
};

const Piles = ({
  weigh,
  stepG,
  units,
  onResist,
}: {
  readonly weigh: WeighPlan;
  readonly stepG: number;
  readonly units: UnitSystem;
  readonly onResist: boolean;
}) => {
  const mass = (g: number): string => scaleMass(g, stepG, units);
  const layers = weigh.faces[0]?.layers.map((_, i) => i) ?? [];
  return (
    <table className="w-full">
      <caption className="text-left text-lg font-semibold">Weigh out</caption>
      <thead>
        <tr className="border-b border-ink text-right text-[13px] text-chalk">
          <th scope="col" className="text-left font-normal">
            layer
          </th>
          {weigh.faces.map(f => (
            <th key={f.name} scope="col" className="font-normal">
              {f.name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody className="text-right text-lg">
        {layers.map(i => (
          <tr key={i} className="border-b border-rim">
            <th scope="row" className="text-left text-base font-normal">
              {i + 1}
              {i === 0 && (onResist ? ' (inside)' : ' (laid first)')}
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
            face
          </th>
          {weigh.faces.map(f => (
            <td key={f.name} className="font-semibold">
              {mass(f.grams)}
            </td>
          ))}
        </tr>
      </tfoot>
    </table>
  );
};

const Weighing = ({ stage, weigh }: { readonly stage: PieceStage; readonly weigh: WeighPlan }) => {
  const { units } = stage.settings;
  const { plan } = stage.piece;
  return (
    <div className="mt-4 flex flex-wrap gap-5">
      <NumberField
        className="w-28"
        label="Scale reads to"
        shown={showFigure(plan.scaleStepG, 'mass', { units: units, places: units === 'metric' ? 1 : 2 })}
        unit={homeUnit('mass', units)}
        read={reader('mass', units, { min: 0.01, max: 100 })}
        onValue={v => stage.changePlan(p => ({ ...p, scaleStepG: v }), { label: 'scale step', key: 'step' })}
      />
      <NumberField
        className="w-28"
        label="Reserve"
        shown={showFigure(plan.reserveShare, 'share', { units: units })}
        unit="%"
        read={reader('share', units, { min: 0, max: 1.9 })}
        onValue={v =>
          stage.changePlan(p => ({ ...p, reserveShare: v }), { label: 'reserve', key: 'reserve' })
        }
      />
      <NumberField
        className="w-28"
        label="Wool that stays"
        shown={showFigure(plan.keptShare, 'share', { units: units })}
        unit="%"
        read={reader('share', units, { min: 0.05, max: 1 })}
        onValue={v =>
          stage.changePlan(p => ({ ...p, keptShare: v }), { label: 'wool that stays', key: 'kept' })
        }
      />
      <p className="w-full text-[13px] text-chalk">
        Reserve 5–10 % and 97 % staying after rinsing and shaving are common practice. {weigh.parts} equal
        parts of about {showQuantity(weigh.partGrams, 'mass', units)}, rounded so that the piles sum exactly.
      </p>
    </div>
  );
};

/** Wool: what to weigh, and how to part it. */
export const WoolView = () => {
  const stage = usePieceStage();
  const { plan } = stage;
  const fold = stage.piece.plan.foldOverMm;
  const scene = useMemo(
    () => (plan.ok ? pieceScene(plan.value.form, { foldOverMm: fold }) : null),
    [plan, fold],
  );
  const [chosen, setChosen] = useState(0);
  if (!plan.ok || !scene) return <p className="p-4">The plan has to be mended first.</p>;
  const { weigh, form } = plan.value;
  const { units } = stage.settings;
  const onResist = form.outlineIs === 'resist';
  const layers = weigh?.faces[0]?.layers.length ?? 1;
  const shown = Math.min(chosen, layers - 1);
  const colour = stage.wool?.colour ?? UNDYED;
  return (
    <StageLayout
      label="Wool"
      table={
        <>
          <Table
            scene={scene}
            units={units}
            label="Where the wool lies"
            showMarks={false}
            fillOf={layerFill(scene)}
            under={() => (
              <LayerPattern colour={colour} deg={tableAngle(form.alongOnTable, layerDirection(shown))} />
            )}
          />
          <Legend scene={scene} />
        </>
      }
      instruments={
        weigh ? (
          <>
            <Totals weigh={weigh} stage={stage} />
            {stage.wool?.form === 'fleece' && (
              <p className="mb-3 text-[13px] text-chalk">
                Raw fleece: wash hands, cover cuts, keep it from food. Carding makes dust: air the room.
              </p>
            )}
            <LayerChoice layers={layers} shown={shown} onShow={setChosen} />
            <Piles weigh={weigh} stepG={stage.piece.plan.scaleStepG} units={units} onResist={onResist} />
            <h2 className="mt-4 text-lg font-semibold">Or part by hand</h2>
            <ol className="mb-4 list-decimal pl-6">
              {weigh.scheme.map(split => (
                <li key={split.heaps}>{splitWords(split, weigh.total, units)}</li>
              ))}
            </ol>
            {weigh.faces[0] && (
              <WallSection
                face={weigh.faces[0]}
                colour={colour}
                onResist={onResist}
                mass={g => scaleMass(g, stage.piece.plan.scaleStepG, units)}
              />
            )}
            <Weighing stage={stage} weigh={weigh} />
          </>
        ) : (
          <p>Fix the chain first: the grams are still free.</p>
        )
      }
    />
  );
};
