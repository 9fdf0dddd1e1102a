import type { Placed } from './task';

/** One stretch of work as a calendar has it. */
export interface CalendarEvent {
  /** The same whenever the same stretch is written again: a second file updates the first. */
  readonly uid: string;
  readonly title: string;
  readonly notes: string;
  readonly startMs: number;
  readonly endMs: number;
}

/** What a stretch's name ends in, so that no other calendar has it. */
const OF = 'jorrit.local';

/** Letters and figures that are safe in a UID. */
const plain = (id: string): string => id.replaceAll(/[^A-Za-z0-9.-]/g, '-');

/**
 * Events of a schedule: one for each stretch of hands, and one at the end of a wait that must be looked after.
 * @param of.nowMs the moment from which minutes count  @param of.titleOf what a task is called
 */
export const calendarEvents = (
  placed: readonly Placed[],
  of: {
    readonly nowMs: number;
    readonly titleOf: (id: string) => string;
    readonly notesOf: (id: string) => string;
  },
): readonly CalendarEvent[] =>
  placed.flatMap(({ id, spans }) =>
    spans.flatMap((span, i): CalendarEvent[] =>
      span.end > span.start
        ? [
            {
              uid: `${plain(id)}.${i + 1}@${OF}`,
              title: of.titleOf(id),
              notes: of.notesOf(id),
              startMs: of.nowMs + span.start * 60_000,
              endMs: of.nowMs + span.end * 60_000,
            },
          ]
        : [],
    ),
  );
