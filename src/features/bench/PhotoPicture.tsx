import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import type { Point } from '../../core/outline/polygon';
import type { LineRead, PhotoReading } from '../../core/photo/photoAsked';
import { PictureWithLines, placeIn } from '../../ui/PictureWithLines';

/** A key moves an end by so much of the picture. */
const KEY_STEP = 0.002;
const KEYS: Readonly<Record<string, Point>> = {
  ArrowLeft: { x: -KEY_STEP, y: 0 },
  ArrowRight: { x: KEY_STEP, y: 0 },
  ArrowUp: { x: 0, y: -KEY_STEP },
  ArrowDown: { x: 0, y: KEY_STEP },
};

/** An end of a line: dragged by finger or mouse, or moved by the arrow keys. */
const End = (props: {
  readonly at: Point;
  readonly name: string;
  readonly placeOf: (e: PointerEvent) => Point | null;
  readonly onMove: (to: Point) => void;
}) => {
  const { at, name, placeOf, onMove } = props;
  const drag = (e: PointerEvent<HTMLButtonElement>): void => {
    const to = e.currentTarget.hasPointerCapture(e.pointerId) ? placeOf(e) : null;
    if (to) onMove(to);
  };
  const byKey = (e: KeyboardEvent): void => {
    const by = KEYS[e.key];
    if (!by) return;
    e.preventDefault();
    e.stopPropagation();
    onMove({ x: at.x + by.x, y: at.y + by.y });
  };
  return (
    <button
      type="button"
      aria-label={`${name}: drag it, or use the arrow keys`}
      className="absolute flex size-16 -translate-x-1/2 -translate-y-1/2 cursor-grab touch-none items-center justify-center rounded-full focus-visible:outline-3 focus-visible:outline-laid"
      style={{ left: `${100 * at.x}%`, top: `${100 * at.y}%` }}
      onPointerDown={e => e.currentTarget.setPointerCapture(e.pointerId)}
      onPointerMove={drag}
      onKeyDown={byKey}
    >
      <span className="size-4 rounded-full border-2 border-wanted bg-soap" aria-hidden="true" />
    </button>
  );
};

/** The picture with what was found in it: the rim, what lies beside it, and the lines, whose ends can be moved. A tap points at something, where that is asked for. */
export const PhotoPicture = (props: {
  readonly url: string;
  readonly reading: PhotoReading | null;
  readonly lines: readonly LineRead[];
  readonly onMove: (line: LineRead, ends: { readonly from: Point; readonly to: Point }) => void;
  /** Takes a tap; null where none is asked for. */
  readonly onTap: ((at: Point) => void) | null;
}) => {
  const { url, reading, lines, onMove, onTap } = props;
  const frame = useRef<HTMLDivElement>(null);
  const placeOf = (e: PointerEvent): Point | null => frame.current && placeIn(frame.current, e);
  return (
    <PictureWithLines
      ref={frame}
      url={url}
      alt="The piece on the table"
      onTap={onTap}
      lines={[
        ...(reading
          ? [
              { points: reading.card, closed: true, look: 'line-laid' },
              { points: reading.rim, closed: true, look: 'line-now' },
            ]
          : []),
        ...lines.map(l => ({ points: [l.from, l.to], closed: false, look: 'stroke-2 stroke-wanted' })),
      ]}
    >
      {lines.map(l => (
        <span key={l.id}>
          <span
            aria-hidden="true"
            className="absolute -translate-x-1/2 -translate-y-1/2 rounded-bench bg-soap px-1.5 text-lg font-semibold text-wanted"
            style={{ left: `${50 * (l.from.x + l.to.x)}%`, top: `${50 * (l.from.y + l.to.y)}%` }}
          >
            {l.id}
          </span>
          <End
            at={l.from}
            name={`First end of ${l.id}`}
            placeOf={placeOf}
            onMove={from => onMove(l, { from, to: l.to })}
          />
          <End
            at={l.to}
            name={`Second end of ${l.id}`}
            placeOf={placeOf}
            onMove={to => onMove(l, { from: l.from, to })}
          />
        </span>
      ))}
    </PictureWithLines>
  );
};
