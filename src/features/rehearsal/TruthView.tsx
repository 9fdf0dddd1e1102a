import { useQueries } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { actWords } from '../../core/acts/act';
import type { PieceWording } from '../../core/acts/actSpec';
import { benchLog } from '../../core/log/logParts';
import { meanReading } from '../../core/log/pair';
import { curveOf, offSizes } from '../../core/rehearsal/curveOf';
import type { Rehearsed, Hidden } from '../../core/rehearsal/hidden';
import { type FeltTruth, rehearse } from '../../core/rehearsal/rehearse';
import { SIZE_TOLERANCE } from '../../core/tolerances';
import { showQuantity, showShare } from '../../core/units/units';
import type { PieceContext } from '../../session/pieceContext';
import { useRehearsal } from '../../session/rehearsal';
import { Button } from '../../ui/Button';
import type { ChartLine } from '../../ui/chart/LineChart';
import { later } from '../../ui/later';
import { pieceWording } from '../../words/pieceWording';
import { CAME_ABOUT } from '../../words/rehearsal';
import { type ByAdvice, useByAdvice } from './useByAdvice';
import { useRehearsed } from './useRehearsed';

const LineChart = later(
  async () => (await import('../../ui/chart/LineChart')).LineChart,
  <p className="h-72">Drawing …</p>,
);

/** Every line as it truly is, beside what was measured last and what was wanted. */
const Lines = ({ truth, context }: { readonly truth: FeltTruth; readonly context: PieceContext }) => {
  const { units } = context.settings;
  const show = (mm: number): string => showQuantity(mm, 'length', units);
  const offs = offSizes(truth);
  return (
    <table className="w-full max-w-2xl text-left tabular-nums">
      <thead>
        <tr className="border-b border-ink">
          <th scope="col">Line</th>
          <th scope="col">truly</th>
          <th scope="col">measured last</th>
          <th scope="col">wanted</th>
          <th scope="col">off</th>
        </tr>
      </thead>
      <tbody>
        {truth.lines.map((line, i) => {
          const mm = line.laidMm * (truth.shares[i] ?? 1);
          const off = offs[i] ?? 0;
          const read = meanReading(truth.state.now, line.id);
          return (
            <tr key={line.id} className="border-b border-rim">
              <th scope="row" className="font-normal">
                {line.id}, {line.name}
              </th>
              <td>{show(mm)}</td>
              <td>{read === null ? 'never' : show(read)}</td>
              <td>{show(line.wantedMm)}</td>
              <td className={Math.abs(off) > SIZE_TOLERANCE ? 'font-semibold text-wanted' : ''}>
                {off > 0 ? '+' : off < 0 ? '−' : ''}
                {showShare(Math.abs(off))}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
};

/** How far the felts part that it may be, after the same steps. */
const Apart = ({ all }: { readonly all: readonly FeltTruth[] }) => {
  const ways = all.map(t => t.progress).toSorted((a, b) => a - b);
  const [least = 0, most = 0] = [ways[0], ways.at(-1)];
  return (
    <p role="status">
      Your piece may be any of {all.length} felts like this one. After these steps they are {showShare(least)}{' '}
      to {showShare(most)} of the way.
    </p>
  );
};

const firmWords = (firm: number): string =>
  firm >= 1 ? 'It is firm.' : firm >= 0.8 ? 'It is not quite firm yet.' : 'It is still soft.';
const skinWords = (skin: number): string =>
  skin >= 1 ? 'Its skin holds.' : 'Its skin does not hold everywhere yet.';

/** What went wrong, and which act brought it. */
const Wrong = ({ truth, wording }: { readonly truth: FeltTruth; readonly wording: PieceWording }) =>
  truth.faults.length === 0 ? (
    <p>Nothing went wrong with it.</p>
  ) : (
    <ul className="list-disc pl-6">
      {truth.faults.map(f => {
        const n = truth.entries.findIndex(e => e.id === f.entryId);
        const act = truth.entries[n]?.act;
        const { begun, fast, by } = CAME_ABOUT[f.fault];
        return (
          <li key={f.fault}>
            {f.isMended ? `${begun} You saw it in time.` : f.isFast ? fast : begun} It came of step {n + 1}
            {act && `, ${actWords(act, wording)}`}: {by}.
          </li>
        );
      })}
    </ul>
  );

/** Which act did what: how far each brought it. */
const Steps = ({ truth, wording }: { readonly truth: FeltTruth; readonly wording: PieceWording }) => (
  <details>
    <summary className="min-h-9 cursor-pointer font-semibold">Which step did what</summary>
    <ol className="max-w-2xl">
      {truth.entries.map((e, n) => {
        const gained = (truth.ways[n]?.progress ?? 0) - (truth.ways[n - 1]?.progress ?? 0);
        return (
          <li key={e.id} className="flex gap-3 border-b border-rim py-0.5">
            <span className="w-8 text-right tabular-nums">{n + 1}.</span>
            <span className="flex-1">{actWords(e.act, wording)}</span>
            <span className="tabular-nums">{gained > 0.0005 ? `${showShare(gained)} of the way` : ''}</span>
          </li>
        );
      })}
    </ol>
  </details>
);

/** Logs of the tries, as the bench has them. */
const useTries = (
  tries: readonly string[],
  of: { readonly rehearsed: Rehearsed; readonly hidden: Hidden } | null,
) => {
  const { workshop } = useRehearsal();
  const logs = useQueries({
    queries: tries.map(id => workshop.cache.entries(id)),
    combine: results => results.map(r => r.data),
  });
  return useMemo(
    () =>
      of
        ? tries.flatMap((id, i) => {
            const log = logs[i];
            return log ? [{ id, truth: rehearse(of.rehearsed, of.hidden, benchLog(log)) }] : [];
          })
        : [],
    [tries, logs, of],
  );
};

/** What the advice would have made of it, in words, from the beginning and from points of the log. */
const AdviceSaid = ({ played, own }: { readonly played: readonly ByAdvice[]; readonly own: FeltTruth }) => {
  const [first, ...onwards] = played;
  return (
    <>
      {first && (
        <p>
          On the same felt, in {first.steps} steps, it would have ended within{' '}
          {showShare(worstOff(first.truth))} of every size. Yours is within {showShare(worstOff(own))} now.
        </p>
      )}
      {onwards.length > 0 && (
        <ul className="list-disc pl-6" aria-label="From points of your own">
          {onwards.map(one => (
            <li key={one.own}>
              From after your step {one.own}: {one.steps} more, within {showShare(worstOff(one.truth))} of
              every size.
            </li>
          ))}
        </ul>
      )}
    </>
  );
};

/** The furthest that any line is off, as a share of what was wanted. */
const worstOff = (of: FeltTruth): number => Math.max(...offSizes(of).map(Math.abs));

/** How the felt truly is: beside what was believed, which step did what, and what the advice would have made of it. */
export const TruthView = ({
  context,
  tries,
}: {
  readonly context: PieceContext;
  readonly tries: readonly string[];
}) => {
  const { hidden } = useRehearsal();
  const known = useRehearsed(context);
  const both = useMemo(() => (known ? { rehearsed: known.rehearsed, hidden } : null), [known, hidden]);
  const all = useTries(tries, both);
  return known ? (
    <Truth context={context} known={known} all={all} />
  ) : (
    <p className="p-4">Fix the plan first.</p>
  );
};

const Truth = (props: {
  readonly context: PieceContext;
  readonly known: NonNullable<ReturnType<typeof useRehearsed>>;
  readonly all: ReturnType<typeof useTries>;
}) => {
  const { context, known, all } = props;
  const { others, begunSeq } = useRehearsal();
  const [fromEach, setFromEach] = useState(false);
  const advice = useByAdvice(context, known, fromEach);
  const { truth, rehearsed } = known;
  const wording = pieceWording(rehearsed.way, rehearsed.form.faces.length, context.settings.units);
  const apart = others.map(o => rehearse(rehearsed, o, context.entries));
  const lines: readonly ChartLine[] = [
    ...apart.map((t, i): ChartLine => ({
      name: `felt ${i + 2}`,
      points: curveOf(t, begunSeq),
      colour: 'rim',
    })),
    ...all.map((t, i): ChartLine => ({
      name: `try ${i + 1}`,
      points: curveOf(t.truth, begunSeq),
      colour: t.id === context.piece.id ? 'now' : 'chalk',
      marked: true,
      endsIn: `try ${i + 1}`,
    })),
    ...advice.played.map(({ own, truth: t }): ChartLine => ({
      name: own === 0 ? 'by the advice' : `by the advice, from step ${own}`,
      points: curveOf(t, begunSeq).slice(own),
      colour: 'laid',
      dash: 'dashed',
    })),
  ];
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-5 overflow-auto px-6 py-4">
      <h2 className="text-2xl font-semibold">{apart.length > 0 ? 'How it may be' : 'How it truly is'}</h2>
      <p>All of this is the model’s felt, not wool.</p>
      <section aria-label="Size">
        <Lines truth={truth} context={context} />
        <p className="mt-2">
          {skinWords(Math.min(...truth.skin.values()))} {firmWords(truth.firm)}
        </p>
      </section>
      {apart.length > 0 && <Apart all={[truth, ...apart]} />}
      <section aria-label="What went wrong">
        <h3 className="text-lg font-semibold">What went wrong</h3>
        <Wrong truth={truth} wording={wording} />
      </section>
      <section aria-label="By the advice">
        <h3 className="text-lg font-semibold">What the advice would have made of it</h3>
        <AdviceSaid played={advice.played} own={truth} />
        {advice.error ? (
          <p role="alert">
            {advice.error.message} <Button onClick={advice.again}>Try again</Button>
          </p>
        ) : (
          advice.played.length < advice.asked && (
            <p role="status">
              It is played through: {advice.played.length} of {advice.asked} …
            </p>
          )
        )}
        {!fromEach && apart.length === 0 && (
          <Button className="mt-2" onClick={() => setFromEach(true)}>
            And from points of my own
          </Button>
        )}
        <LineChart
          lines={lines}
          xName="work, in rolls"
          yName="share of the way"
          yText={showShare}
          level={{ name: 'target', y: 1 }}
          label={`Share of the way against work: ${all.map((t, i) => `try ${i + 1} ${showShare(t.truth.progress)}`).join(', ')}${advice.played.map(p => `, by the advice from step ${p.own} ${showShare(p.truth.progress)}`).join('')}`}
        />
        <p className="text-[13px] text-chalk">
          Dots: steps of a try. Dashed: by the advice alone.
          {apart.length > 0 && ' Pale: other felts that it may be.'}
        </p>
      </section>
      <Steps truth={truth} wording={wording} />
    </div>
  );
};
