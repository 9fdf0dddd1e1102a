import type { PointerEvent, ReactNode, Ref } from 'react';
import type { Point } from '../core/outline/polygon';
import { svgPathData } from '../drawing/pathSink';

/** Shares of the picture are drawn as thousandths. */
const DRAWN = 1000;

/** A line over a picture, by shares of its width and height. */
export interface PictureLine {
  readonly points: readonly Point[];
  readonly closed: boolean;
  /** How it looks: a class of the table's lines. */
  readonly look: string;
}

const within = (v: number): number => Math.min(1, Math.max(0, v));

/** Where in a picture somebody points, as shares of its width and height. */
export const placeIn = (frame: Element, e: PointerEvent): Point => {
  const box = frame.getBoundingClientRect();
  return { x: within((e.clientX - box.left) / box.width), y: within((e.clientY - box.top) / box.height) };
};

/** A picture with lines over it, and whatever else lies on it. */
export const PictureWithLines = ({
  url,
  alt,
  lines,
  ref,
  onTap,
  children,
}: {
  readonly url: string;
  readonly alt: string;
  readonly lines: readonly PictureLine[];
  readonly ref?: Ref<HTMLDivElement>;
  /** Takes a tap on the picture; null where none is asked for. */
  readonly onTap?: ((at: Point) => void) | null;
  readonly children?: ReactNode;
}) => (
  <div
    ref={ref}
    className={`relative max-w-[27rem] self-start ${onTap ? 'cursor-crosshair' : ''}`}
    onPointerUp={e => onTap?.(placeIn(e.currentTarget, e))}
  >
    <img src={url} alt={alt} className="block max-h-[24rem]" draggable={false} />
    {lines.length > 0 && (
      <svg
        viewBox={`0 0 ${DRAWN} ${DRAWN}`}
        preserveAspectRatio="none"
        className="pointer-events-none absolute inset-0 size-full"
        aria-hidden="true"
      >
        {lines.map(({ points, closed, look }, i) => (
          <path
            key={i}
            d={svgPathData(
              points.map(p => ({ x: DRAWN * p.x, y: DRAWN * p.y })),
              closed,
              1,
            )}
            className={`line ${look}`}
            style={{ vectorEffect: 'non-scaling-stroke' }}
          />
        ))}
      </svg>
    )}
    {children}
  </div>
);
