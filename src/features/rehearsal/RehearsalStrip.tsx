import { memo, type ReactNode, useDeferredValue, useEffect, useReducer } from 'react';
import { Link } from 'react-router';
import { actWords } from '../../core/acts/act';
import { duration } from '../../core/acts/actWords';
import { entriesInForce } from '../../core/log/entriesInForce';
import { wayOf } from '../../core/ways/register';
import { localTime } from '../../session/clock';
import { useNotify } from '../../session/notices';
import type { PieceContext } from '../../session/pieceContext';
import { branchFrom, useRehearsal } from '../../session/rehearsal';
import { SPEEDS, type Speed } from '../../session/rehearsalClock';
import { buttonClass } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Select } from '../../ui/Select';
import { useSteady } from '../../ui/useSteady';
import { pieceWording } from '../../words/pieceWording';

const SPEED_WORDS: Readonly<Record<Speed, string>> = {
  0: 'paused',
  1: 'as on the wall',
  20: '20 times as fast',
};
const EVERY_MS = 500;

/** The time of the rehearsal, as it goes. */
const useTime = (): { readonly nowMs: number; readonly speed: Speed } => {
  const { clock } = useRehearsal();
  const [, again] = useReducer((n: number) => n + 1, 0);
  useEffect(() => {
    const ends = [clock.subscribe(again), clock.every(EVERY_MS, again)];
    return () => {
      for (const end of ends) end();
    };
  }, [clock]);
  return { nowMs: clock.nowMs(), speed: clock.speed() };
};

/** How late it is in the rehearsal, and how fast its time goes. */
const Time = () => {
  const { clock, startMs } = useRehearsal();
  const { nowMs, speed } = useTime();
  const begun = nowMs - startMs;
  return (
    <>
      <p className="self-center tabular-nums" aria-label="Time of the rehearsal">
        {localTime(nowMs)}
        {begun >= 60_000 && <span className="text-chalk">, {duration(Math.round(begun / 60_000))} in</span>}
      </p>
      <Select
        className="max-sm:hidden"
        label="Time goes"
        value={String(speed)}
        options={SPEEDS.map(s => ({ value: String(s), text: SPEED_WORDS[s] }))}
        onPick={value => clock.setSpeed(SPEEDS.find(s => String(s) === value) ?? 1)}
      />
    </>
  );
};

/** From which step it may be tried again. Of one width, so that a step more moves nothing beside it. */
const TryAgain = memo(
  ({ context, onAgain }: { readonly context: PieceContext; readonly onAgain: (seq: number) => void }) => {
    const { piece, plan, settings } = context;
    const entries = useDeferredValue(context.entries);
    const stands = entriesInForce(entries);
    if (!plan.ok || stands.length === 0) return null;
    const { kind, form } = plan.value;
    const wording = pieceWording(wayOf(kind, form, piece.way), form.faces.length, settings.units);
    return (
      <Select
        className="w-44 max-sm:hidden"
        label="Try again after"
        value=""
        options={[
          { value: '', text: 'choose a step' },
          ...stands.map((e, i) => ({
            value: String(e.seq),
            text: `${i + 1}. ${actWords(e.act, wording)}`,
          })),
        ]}
        onPick={value => value !== '' && onAgain(Number(value))}
      />
    );
  },
);
TryAgain.displayName = 'TryAgain';

/** To how it truly is and back, and out of it: the same whatever is done at the bench. */
const WaysOut = memo(({ isTruth }: { readonly isTruth: boolean }) => (
  <>
    {isTruth ? (
      <Link to="bench" className={buttonClass('plain', 'dry')}>
        Back to the bench
      </Link>
    ) : (
      <Link to="truth" className={buttonClass('plain', 'dry')}>
        <span className="sm:hidden">Truly?</span>
        <span className="max-sm:hidden">How is it truly?</span>
      </Link>
    )}
    <Link to="/" className={buttonClass('plain', 'dry')}>
      Leave
    </Link>
  </>
));
WaysOut.displayName = 'WaysOut';

/** What a rehearsal says of itself, its time, and where one can go on from. It stands above the bench, which is as it always is. */
export const RehearsalStrip = (props: {
  readonly context: PieceContext;
  /** Ids of the tries of the same felt. */
  readonly tries: readonly string[];
  readonly onTry: (id: string) => void;
  /** Whether how it truly is is shown. */
  readonly isTruth: boolean;
  /** Where there is room for one of the two only: what goes from the bench to the felt, and back. */
  readonly turn: ReactNode;
}) => {
  const { context, tries, onTry, isTruth } = props;
  const { piece } = context;
  const rehearsal = useRehearsal();
  const { failed } = useNotify();
  const again = useSteady((seq: number): void => {
    const name = `${rehearsal.of.name}, try ${tries.length + 1}`;
    branchFrom(rehearsal, { pieceId: piece.id, seq, name }).then(onTry, failed);
  });
  return (
    <section
      aria-label="Rehearsal"
      className="flex flex-wrap items-end gap-x-4 gap-y-1 border-b-2 border-laid bg-soap px-4 py-1"
    >
      <p className="flex-1 self-center sm:min-w-40">
        <strong>Rehearsal.</strong>{' '}
        <span className="max-sm:sr-only">Made-up felt: nothing of it is kept.</span>
      </p>
      <Time />
      <TryAgain context={context} onAgain={again} />
      {tries.length > 1 && (
        <Choice
          label="Tries"
          value={piece.id}
          options={tries.map((id, i) => ({ value: id, text: `try ${i + 1}` }))}
          onChoose={onTry}
        />
      )}
      {props.turn}
      <WaysOut isTruth={isTruth} />
    </section>
  );
};
