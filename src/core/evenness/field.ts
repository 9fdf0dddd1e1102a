/** A grid of areal weights over an outline, row by row from its top left corner. */
export interface Field {
  readonly cellMm: number;
  readonly columns: number;
  readonly rows: number;
  /** Place of the grid's corner, mm. */
  readonly left: number;
  readonly top: number;
  /** g/m² in each cell. */
  readonly gsm: Float32Array;
  /** 1 where the cell's middle lies within the outline. */
  readonly inside: Uint8Array;
}
