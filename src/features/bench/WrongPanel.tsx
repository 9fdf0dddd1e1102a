import { type PointerEvent, useState } from 'react';
import type { Way } from '../../core/ways/way';
import { faultCause } from '../../core/advice/faultCause';
import { canOccur, type Fault, faultOf, FAULTS } from '../../core/advice/faults';
import type { BenchState } from '../../core/log/benchState';
import type { Act } from '../../core/acts/act';
import type { FormPlan } from '../../core/forms/formKind';
import type { Point } from '../../core/outline/polygon';
import { turnBackFor, turnFor } from '../../drawing/orient';
import { svgPathData } from '../../drawing/pathSink';
import { pieceScene } from '../../drawing/scene';
import { Button } from '../../ui/Button';
import { causeWords, FAULT_WORDS } from '../../words/faults';
import { PanelFrame } from './PanelFrame';

/** The piece, to tap where it is wrong. */
const Place = (props: {
  readonly form: FormPlan;
  readonly at: Point | null;
  readonly onPlace: (at: Point) => void;
}) => {
  const scene = pieceScene(props.form, { foldOverMm: 0 });
  const { minX, minY, maxX, maxY } = scene.box;
  const shown = props.at && turnFor(props.form.alongOnTable)(props.at);
  const margin = 0.05 * Math.max(maxX - minX, maxY - minY);
  const place = (e: PointerEvent<SVGSVGElement>): void => {
    const turn = e.currentTarget.getScreenCTM()?.inverse();
    if (!turn) return;
    const there = turnBackFor(props.form.alongOnTable)(
      new DOMPoint(e.clientX, e.clientY).matrixTransform(turn),
    );
    props.onPlace({ x: Math.round(there.x), y: Math.round(there.y) });
  };
  return (
    <svg
      viewBox={[minX - margin, minY - margin, maxX - minX + 2 * margin, maxY - minY + 2 * margin].join(' ')}
      className="max-h-[24rem] w-full flex-1 touch-manipulation bg-steam"
      role="img"
      aria-label="Tap where it is"
      onPointerDown={place}
    >
      {scene.shapes
        .filter(s => s.role === 'laid' || s.role === 'mouth')
        .map((s, i) => (
          <path key={i} d={svgPathData(s.points, s.closed, 1)} className={`line line-${s.role}`} />
        ))}
      {shown && (
        <circle
          cx={shown.x}
          cy={shown.y}
          r={1.5 * margin}
          className="fill-none stroke-wanted"
          strokeWidth={margin / 3}
        />
      )}
    </svg>
  );
};

/** Something is wrong: what is seen, why it likely came about, what to do now; marked and followed up. */
export const WrongPanel = (props: {
  readonly form: FormPlan;
  readonly pieces: number;
  readonly way: Way;
  /** A fault that was seen already. */
  readonly seen: string | null;
  readonly state: BenchState;
  readonly faces: readonly number[];
  readonly onLog: (act: Act) => void;
  readonly onCancel: () => void;
}) => {
  const { form, state, faces } = props;
  const [fault, setFault] = useState<Fault | null>(props.seen === null ? null : faultOf(props.seen));
  const [at, setAt] = useState<Point | null>(null);
  if (fault) {
    const likely = faultCause(fault.id, state, faces);
    const { seen, cause, remedy } = FAULT_WORDS[fault.id];
    return (
      <PanelFrame
        title={`${seen[0]?.toUpperCase()}${seen.slice(1)}`}
        label="Remedy"
        onCancel={() => setFault(null)}
        back="Something else"
        great={{ words: 'Add to the log', run: () => props.onLog({ kind: 'fault', fault: fault.id, at }) }}
      >
        <p className="text-3xl leading-tight font-semibold">{remedy}</p>
        <p className="text-lg">
          {likely && <b>Likely: {causeWords(likely)}. </b>}
          Usual causes: {cause} (common practice).
        </p>
        {fault.hasPlace && (
          <>
            <p className="text-lg">Tap where it is, so you can check it again.</p>
            <Place form={form} at={at} onPlace={setAt} />
          </>
        )}
      </PanelFrame>
    );
  }
  const possible = FAULTS.filter(f => canOccur(f, form, { pieces: props.pieces, way: props.way }))
    .map(f => ({ fault: f, likely: faultCause(f.id, state, faces) }))
    .toSorted((a, b) => (b.likely?.weight ?? 0) - (a.likely?.weight ?? 0));
  return (
    <PanelFrame title="What do you see?" label="Something is wrong" onCancel={props.onCancel}>
      <div className="grid grid-cols-1 gap-2 sm:grid-cols-2">
        {possible.map(p => (
          <Button
            key={p.fault.id}
            size="wet"
            className="!flex-col !gap-0"
            onClick={() => {
              setAt(null);
              setFault(p.fault);
            }}
          >
            <span className="first-letter:uppercase">{FAULT_WORDS[p.fault.id].seen}</span>
            {p.likely && <span className="text-base font-normal text-chalk">{causeWords(p.likely)}</span>}
          </Button>
        ))}
      </div>
    </PanelFrame>
  );
};
