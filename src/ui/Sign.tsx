const PATHS = {
  /** A line that is gone along both ways; drawn level. */
  bothWays: 'M-9 0H9M-5-4-9 0l4 4M5-4 9 0 5 4',
  delete: 'M-9 0-4-6H9V6H-4ZM0-2.5l5 5M0 2.5l5-5',
  opens: 'M-5-2 0 3 5-2',
  next: 'M-3-6 4 0-3 6',
  close: 'M-6-6 6 6M-6 6 6-6',
  done: 'M-7 0-2 5 7-5',
} as const;

/** A sign on a button, as high as its letters. Drawn, as no font that is shipped has it and one of the system’s may not; what it means is said beside it. */
export const Sign = (props: {
  readonly of: keyof typeof PATHS;
  /** Degrees, clockwise. */
  readonly turnDeg?: number;
}) => (
  <svg
    viewBox="-10 -10 20 20"
    className="inline size-[1em] fill-none stroke-current align-[-0.15em]"
    strokeWidth={2}
    strokeLinecap="round"
    strokeLinejoin="round"
    aria-hidden="true"
  >
    <path d={PATHS[props.of]} transform={props.turnDeg ? `rotate(${props.turnDeg})` : undefined} />
  </svg>
);
