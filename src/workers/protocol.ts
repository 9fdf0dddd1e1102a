import type { Issue } from '../core/issues';
import type { Result } from '../core/result';
import type { Orientation, PaperName } from '../drawing/sheets';
import type { SvgOutlines } from '../files/svgOutlines';
import type { Template } from '../drawing/template';

/** Work that is done off the main thread. Types only; both sides read them. */
export interface Jobs {
  readonly templatePdf: {
    readonly ask: {
      readonly template: Template;
      readonly paper: PaperName;
      readonly orientation: Orientation;
    };
    readonly answer: ArrayBuffer;
  };
  readonly svgOutlines: {
    readonly ask: { readonly text: string };
    readonly answer: Result<SvgOutlines>;
  };
}
export type JobName = keyof Jobs;

/** One ask of each job: the name tells which. */
export type Ask = {
  readonly [N in JobName]: { readonly id: number; readonly job: N; readonly ask: Jobs[N]['ask'] };
}[JobName];

export type Answer =
  | { readonly id: number; readonly type: 'progress'; readonly done: number; readonly of: number }
  | { readonly id: number; readonly type: 'done'; readonly answer: Jobs[JobName]['answer'] }
  | { readonly id: number; readonly type: 'failed'; readonly issue: Issue };
