import type { ReactNode } from 'react';

/** The table, and the instruments of this stage beside it. On a narrow screen the instruments stand below. */
export const ViewLayout = (props: {
  readonly table: ReactNode;
  readonly instruments: ReactNode;
  readonly label: string;
}) => (
  <div className="flex min-h-0 flex-1 flex-col overflow-auto lg:flex-row lg:overflow-hidden">
    <div className="relative h-[46vh] min-h-72 shrink-0 lg:h-auto lg:min-h-0 lg:flex-1 lg:shrink">
      {props.table}
    </div>
    <section
      aria-label={props.label}
      className="relative border-t-2 border-ink bg-steam px-4 py-3 lg:w-[27rem] lg:shrink-0 lg:overflow-y-auto lg:border-t-0 lg:border-l-2"
    >
      {props.instruments}
    </section>
  </div>
);
