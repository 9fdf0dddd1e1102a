import type { Issue } from '../core/issues';
import type { PaperName } from '../drawing/sheets';
import type { Template } from '../drawing/template';

/** Work that is done off the main thread. Types only; both sides read them. */
export interface Jobs {
  readonly templatePdf: {
    readonly ask: { readonly template: Template; readonly paper: PaperName };
    readonly answer: ArrayBuffer;
  };
}
export type JobName = keyof Jobs;

export interface Ask<N extends JobName = JobName> {
  readonly id: number;
  readonly job: N;
  readonly ask: Jobs[N]['ask'];
}

export type Answer =
  | { readonly id: number; readonly type: 'progress'; readonly done: number; readonly of: number }
  | { readonly id: number; readonly type: 'done'; readonly answer: Jobs[JobName]['answer'] }
  | { readonly id: number; readonly type: 'failed'; readonly issue: Issue };
