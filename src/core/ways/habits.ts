/**
 * What schools differ in, beside count, clock and feel: of each, what may be chosen, the usual first. None of it is better; all of
 * it is common practice.
 */
export const HABITS = {
  /** What lies on the wool while it is pressed and rubbed. */
  cover: ['net', 'plastic', 'hands'],
  /** Where the soap goes. */
  soap: ['water', 'wool', 'foam', 'flakes'],
  /** What becomes of the edge of a sheet. */
  edges: ['left', 'folded', 'trimmed'],
  /** When the resist comes out. */
  resist: ['size', 'early', 'last'],
  /** Whether the wool is tacked with a felting needle. */
  needle: ['never', 'first', 'after'],
  /** What firms it at its size. */
  firming: ['throwing', 'water'],
  /** Which side is made outermost: then it is turned inside out. */
  inside: ['first', 'last'],
} as const;

export type HabitId = keyof typeof HABITS;

/** What a maker chose; what is not named is as is usual. */
export type Habits = { readonly [K in HabitId]?: (typeof HABITS)[K][number] };

/** How it is done: as was chosen, or as is usual. */
export const habitOf = <K extends HabitId>(habits: Habits, id: K): (typeof HABITS)[K][number] =>
  habits[id] ?? HABITS[id][0];
