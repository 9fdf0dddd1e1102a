import type { ReactNode } from 'react';

/** The heading row of a table of figures: what the rows are to the left, what the columns are above them. */
export const HeadRow = (props: {
  readonly rows: string;
  readonly columns: readonly string[];
  /** More headings, of columns that need no words. */
  readonly children?: ReactNode;
}) => (
  <thead className="border-b border-ink text-right text-[13px] text-chalk">
    <tr>
      <th scope="col" className="text-left font-normal">
        {props.rows}
      </th>
      {props.columns.map(name => (
        <th key={name} scope="col" className="font-normal">
          {name}
        </th>
      ))}
      {props.children}
    </tr>
  </thead>
);
