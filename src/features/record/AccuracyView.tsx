import { Link } from 'react-router';
import type { PieceAccuracy } from '../../core/accuracy/accuracyOf';
import { chanceRange, shareRange } from '../../core/accuracy/heldRange';
import { atSize } from '../../core/accuracy/atSize';
import { SIZE_TOLERANCE } from '../../core/tolerances';
import { showShare } from '../../core/units/units';
import { useAccuracy } from '../../session/useAccuracy';
import { usePieces, useWools } from '../../session/useRecords';
import { Button } from '../../ui/Button';
import { useTitle } from '../../ui/useTitle';

interface Held {
  readonly tried: number;
  readonly held: number;
}
const sumOf = (all: readonly Held[]): Held => ({
  tried: all.reduce((s, a) => s + a.tried, 0),
  held: all.reduce((s, a) => s + a.held, 0),
});

/** What so few can say. */
const verdict = ({ tried, held }: Held): string => {
  const { least, most } = chanceRange(tried);
  if (held < least) return 'Fewer than chance explains: your ranges were too narrow. Trust them less.';
  if (held > most) return 'More than chance explains: your ranges were wider than they need be.';
  return 'That is what honest ranges do.';
};

const Sentence = ({ of }: { readonly of: Held }) => {
  const { least, most } = chanceRange(of.tried);
  const { low, high } = shareRange(of.held, of.tried);
  return (
    <p className="max-w-prose text-lg">
      Of {of.tried} predicted lengths that a tape tested, {of.held} lay in their range (
      {showShare(of.held / of.tried)}
      ). Four in five were promised: of so few, {least} to {most} by chance alone. {verdict(of)} With nine
      chances in ten the true share lies between {showShare(low)} and {showShare(high)}.
    </p>
  );
};

const Rows = (props: {
  readonly title: string;
  readonly rows: ReadonlyArray<{
    readonly id: string;
    readonly name: string;
    readonly to: string;
    readonly of: Held;
  }>;
}) => (
  <table className="w-full max-w-3xl text-left">
    <caption className="text-left text-lg font-semibold">{props.title}</caption>
    <thead>
      <tr className="border-b border-ink text-[13px] text-chalk">
        <th scope="col" className="font-normal">
          name
        </th>
        <th scope="col" className="text-right font-normal">
          held
        </th>
        <th scope="col" className="text-right font-normal">
          by chance
        </th>
      </tr>
    </thead>
    <tbody>
      {props.rows.map(({ id, name, to, of }) => {
        const { least, most } = chanceRange(of.tried);
        return (
          <tr key={id} className="border-b border-rim">
            <th scope="row" className="py-1 font-normal">
              <Link to={to} className="hover:underline">
                {name}
              </Link>
            </th>
            <td className="text-right font-semibold tabular-nums">
              {of.held} of {of.tried}
            </td>
            <td className="text-right text-chalk tabular-nums">
              {least}–{most}
            </td>
          </tr>
        );
      })}
    </tbody>
  </table>
);

const Told = ({ accuracy }: { readonly accuracy: readonly PieceAccuracy[] }) => {
  const pieces = usePieces() ?? [];
  const wools = useWools();
  const all = sumOf(accuracy);
  const finished = pieces.filter(p => p.result.finishedAt !== null);
  const sizes = finished.map(atSize).filter(s => s !== null);
  const size = sumOf(sizes);
  if (all.tried === 0)
    return (
      <p className="max-w-prose text-lg">
        No finished piece was measured on the way yet. Each measuring at the bench tests what was predicted
        before it.
      </p>
    );
  return (
    <>
      <Sentence of={all} />
      {size.tried > 0 && (
        <p className="max-w-prose">
          When it was dry, {size.held} of {size.tried} lines of {sizes.length}{' '}
          {sizes.length === 1 ? 'piece' : 'pieces'} were within {showShare(SIZE_TOLERANCE)} of what was
          wanted.
        </p>
      )}
      <Rows
        title="By wool"
        rows={wools.flatMap(w => {
          const of = sumOf(accuracy.filter(a => a.woolId === w.id));
          return of.tried > 0 ? [{ id: w.id, name: w.name, to: `/shelf/${w.id}`, of }] : [];
        })}
      />
      <Rows
        title="By piece"
        rows={accuracy.flatMap(of => {
          const piece = pieces.find(p => p.id === of.id);
          return piece && of.tried > 0
            ? [{ id: piece.id, name: piece.name, to: `/pieces/${piece.id}/diary`, of }]
            : [];
        })}
      />
    </>
  );
};

/** How right Jorrit has been: what it predicted, replayed from the logs, against what the tape said. Shown even when it is bad. */
export const AccuracyView = () => {
  useTitle('How right');
  const { pieces, progress, error, again } = useAccuracy();
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-4 overflow-auto px-6 py-4">
      <h1 className="text-3xl font-semibold">How right was Jorrit?</h1>
      {pieces && <Told accuracy={pieces} />}
      {!pieces && !error && (
        <p role="status">
          Replaying your logs
          {progress && `, ${progress.done} of ${progress.of}`} …
        </p>
      )}
      {error && (
        <p role="alert">
          It could not be replayed: {error.message} <Button onClick={again}>Try again</Button>
        </p>
      )}
      <p className="max-w-prose text-[13px] text-chalk">
        Every finished piece is worked through again from its log, with what had been learnt when it was begun
        and no later. Before each measuring the range that should hold four times in five is set against what
        the tape then said, with what a tape itself is off. Lines of one piece are not independent of each
        other, so that chance does a little more than stands here.
      </p>
      <Link to="/record" className="underline">
        Back to the record
      </Link>
    </div>
  );
};
