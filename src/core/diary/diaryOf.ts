import { type Act, type ActOf, amountOf, controlOf } from '../acts/act';
import { entriesInForce } from '../log/entriesInForce';
import type { LogEntry } from '../log/entry';
import { handsMinutes } from './handsMinutes';

/** One thing a diary tells. */
export type DiaryLine =
  /** Work that was done one after the other, alike added up. */
  | { readonly is: 'work'; readonly acts: readonly Act[] }
  | { readonly is: 'measured'; readonly act: ActOf<'measure'> }
  | {
      readonly is: 'picture';
      readonly entryId: string;
      readonly act: ActOf<'picture'>;
      readonly notes: readonly string[];
    }
  | { readonly is: 'note'; readonly text: string }
  | { readonly is: 'fault'; readonly act: ActOf<'fault'>; readonly isMended: boolean };

/** A sitting: without a long pause, from its first entry to its last. */
export interface Sitting {
  readonly fromMs: number;
  readonly toMs: number;
  /** Minutes of hands in it. */
  readonly handsMin: number;
  readonly lines: readonly DiaryLine[];
}

/** A pause as long as this ends a sitting, min. Common practice. */
const SITTING_ENDS_MIN = 30;

/** What is told of an act beside how much of it: acts alike in this are added up. */
const alikeKey = (act: Act): string => {
  const {
    face: _f,
    count: _c,
    cushion: _k,
    pressure: _p,
    ...rest
  } = controlOf(act.kind)?.choicesOf(act) ?? {};
  return `${act.kind} ${JSON.stringify(rest)}`;
};

/** Work with what is alike added up, in the order in which it first came. */
const added = (acts: readonly Act[]): readonly Act[] => {
  const sums = new Map<string, Act>();
  for (const act of acts) {
    const key = alikeKey(act);
    const was = sums.get(key);
    const control = controlOf(act.kind);
    const count = (was && amountOf(was)?.count) ?? 0;
    const joined = was && control?.withCount(act, count + (amountOf(act)?.count ?? 0));
    sums.set(key, joined ?? act);
  }
  return [...sums.values()];
};

/** What does not stand in the diary: it is of the log alone. */
const SILENT: ReadonlySet<Act['kind']> = new Set(['step', 'undo', 'weigh', 'lay', 'takeUp', 'mended']);

const lineOf = (
  { id, act }: LogEntry,
  of: { readonly notesOf: ReadonlyMap<string, readonly string[]>; readonly mended: ReadonlySet<string> },
): DiaryLine | null => {
  switch (act.kind) {
    case 'measure':
      return { is: 'measured', act };
    case 'picture':
      return { is: 'picture', entryId: id, act, notes: of.notesOf.get(id) ?? [] };
    case 'note':
      return act.of === undefined ? { is: 'note', text: act.text } : null;
    case 'fault':
      return { is: 'fault', act, isMended: of.mended.has(id) };
    default:
      return null;
  }
};

const linesOf = (log: readonly LogEntry[], of: Parameters<typeof lineOf>[1]): readonly DiaryLine[] => {
  const lines: DiaryLine[] = [];
  let work: Act[] = [];
  const tellWork = (): void => {
    if (work.length > 0) lines.push({ is: 'work', acts: added(work) });
    work = [];
  };
  for (const entry of log) {
    const line = lineOf(entry, of);
    if (line) {
      tellWork();
      lines.push(line);
    } else if (!SILENT.has(entry.act.kind) && entry.act.kind !== 'note') work.push(entry.act);
  }
  tellWork();
  return lines;
};

/**
 * The log of a piece as a person would tell it: by sittings, work added up between what was measured, seen, noted and pictured.
 * Undone entries are left out. Linear in the log.
 * @param msOf a stored time in ms since 1970
 */
export const diaryOf = (all: readonly LogEntry[], msOf: (at: string) => number): readonly Sitting[] => {
  const log = entriesInForce(all);
  const notesOf = new Map<string, readonly string[]>();
  const mended = new Set<string>();
  for (const { act } of log) {
    if (act.kind === 'note' && act.of !== undefined)
      notesOf.set(act.of, [...(notesOf.get(act.of) ?? []), act.text]);
    if (act.kind === 'mended') mended.add(act.of);
  }
  const sittings: LogEntry[][] = [];
  let before = Number.NEGATIVE_INFINITY;
  for (const entry of log) {
    const now = msOf(entry.at);
    const last = sittings.at(-1);
    if (last && now - before <= SITTING_ENDS_MIN * 60_000) last.push(entry);
    else sittings.push([entry]);
    before = now;
  }
  return sittings
    .map(entries => ({
      fromMs: msOf(entries[0]?.at ?? ''),
      toMs: msOf(entries.at(-1)?.at ?? ''),
      handsMin: handsMinutes(entries, msOf),
      lines: linesOf(entries, { notesOf, mended }),
    }))
    .filter(s => s.lines.length > 0);
};
