/** A place along the piece and the girth there, finished mm, inside. Along is measured on the wall. */
export interface Station {
  readonly along: number;
  readonly girth: number;
}
