import { useDeferredValue, useMemo } from 'react';
import { duration } from '../../core/acts/actWords';
import { bodyWork } from '../../core/log/rest';
import { entriesInForce } from '../../core/log/entriesInForce';
import type { Settings } from '../../records/settings';
import { dayStartMs } from '../../session/clock';
import { logsSince } from '../../session/logsSince';
import { useNow } from '../../session/useNow';
import { REST_HINTS } from '../../words/rests';
import { useSomePieces } from '../../session/useSomePieces';
import { useSummaries } from '../../session/useSummaries';

const LOOKS_MS = 30_000;
/** After so many minutes away it is said how long it has been. */
const AWAY = 20;

/** When to rest, what the body was asked to do today on all pieces, and how long this one has lain. */
export const RestLine = (props: {
  readonly settings: Settings;
  /** When this piece was last worked, ms; null where it never was. */
  readonly lastMs: number | null;
}) => {
  const { settings, lastMs } = props;
  const now = useNow(LOOKS_MS);
  const from = dayStartMs(now);
  const worked = useSummaries().filter(s => s.lastAt !== null && Date.parse(s.lastAt) >= from);
  const pieces = useDeferredValue(useSomePieces(worked.map(s => s.id)));
  const today = useMemo(() => {
    const all = pieces.flatMap(p => p.log);
    const entries = [...logsSince(all, from).values()]
      .flatMap(entriesInForce)
      .map(e => ({ atMs: Date.parse(e.at), act: e.act }))
      .toSorted((a, b) => a.atMs - b.atMs);
    return bodyWork(entries, from, now);
  }, [pieces, from, now]);
  const away = lastMs === null ? 0 : Math.floor((now - lastMs) / 60_000);
  const isDue = settings.restEvery > 0 && today.rollsSinceRest >= settings.restEvery;
  const done = (
    [
      [today.rolls, 'rolled'],
      [today.rubs, 'rubbed'],
      [today.throws, 'thrown'],
    ] as const
  ).filter(([n]) => n > 0);
  const hint =
    REST_HINTS[Math.floor(today.rolls / Math.max(1, settings.restEvery)) % REST_HINTS.length] ??
    REST_HINTS[0];
  return (
    <div className="text-[15px] text-chalk">
      {isDue && (
        <p role="status" className="border-l-4 border-now pl-3 text-lg text-ink">
          Rolled {today.rollsSinceRest} rolls without a pause. {hint} Stop if it hurts or goes numb.
        </p>
      )}
      {away >= AWAY && (
        <p>It has been lying for {duration(away)}. Wet it with warm water before you work it.</p>
      )}
      {done.length > 0 && (
        <p>
          Today: {done.map(([n, words]) => `${words} ${n}`).join(', ')}
          {today.minutes > 0 ? ` in ${duration(today.minutes)}` : ''}.
        </p>
      )}
    </div>
  );
};
