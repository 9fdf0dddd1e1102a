import type { Act } from '../acts/act';

/** An act with its name and time: a fact, never edited in place. `seq` orders the log of one piece; a clock set back does not. */
export interface LogEntry {
  readonly id: string;
  readonly seq: number;
  readonly at: string;
  readonly act: Act;
}
