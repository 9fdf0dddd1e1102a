import { useState } from 'react';
import type { TestName } from '../../core/acts/vocabulary';
import { suits } from '../../core/acts/feltTests';
import type { Plan } from '../../core/plan/makePlan';
import {
  compared,
  foamSeen,
  litPlaces,
  pinched,
  taped,
  tested,
  waterFelt,
  wetnessSeen,
} from '../../core/rehearsal/senses';
import { showQuantity } from '../../core/units/units';
import { UNDYED } from '../../core/wool/undyed';
import type { PieceContext } from '../../session/pieceContext';
import { useRehearsal } from '../../session/rehearsal';
import { Button } from '../../ui/Button';
import { MARK_WORDS } from '../../words/drawingMarks';
import { FELT_TEST_WORDS } from '../../words/feltTests';
import { CAME_ABOUT, FOAM_SEEN, pinchFound, WATER_FELT, WETNESS_SEEN } from '../../words/rehearsal';
import { FeltPicture } from './FeltPicture';
import { useHiddenLayout } from './useHiddenLayout';
import { useRehearsed } from './useRehearsed';

/** What fingers do with it, in the order in which one comes to it. */
const TOUCHES: readonly TestName[] = ['finger', 'pull', 'squeeze', 'cloth', 'bend', 'resist'];

/** What was found, and how much was done until then: more work makes it a thing of before. */
interface Found {
  readonly words: string;
  readonly after: number;
  /** It was held to the light. */
  readonly isLit: boolean;
}

/** The felt in the hands: seen, felt, held to the light and measured, as a person would; nothing of it is logged by itself. */
export const FeltInHands = ({ context, plan }: { readonly context: PieceContext; readonly plan: Plan }) => {
  const known = useRehearsed(context);
  return known ? <InHands context={context} plan={plan} known={known} /> : null;
};

const InHands = (props: {
  readonly context: PieceContext;
  readonly plan: Plan;
  readonly known: NonNullable<ReturnType<typeof useRehearsed>>;
}) => {
  const { context, plan } = props;
  const { rehearsed, truth } = props.known;
  const { clock } = useRehearsal();
  const hidden = useHiddenLayout(context, plan);
  const [found, setFound] = useState<Found | null>(null);
  const after = context.entries.length;
  const find = (words: string, isLit = false): void => setFound({ words, after, isLit });
  const open = truth.faults.filter(f => !f.isMended);
  const look = (): void => {
    const seen = open.filter(f => f.fault !== 'thin');
    const water = waterFelt(truth, { nowMs: clock.nowMs(), msOf: Date.parse });
    find(
      [
        'You open it and look.',
        WETNESS_SEEN[wetnessSeen(truth, rehearsed)],
        FOAM_SEEN[foamSeen(truth)],
        ...(water ? [WATER_FELT[water]] : []),
        ...(seen.length === 0
          ? ['Nothing is wrong.']
          : seen.map(f => CAME_ABOUT[f.fault][f.isFast ? 'fast' : 'begun'])),
      ].join(' '),
    );
  };
  const light = (): void => {
    const grade = tested('light', truth, hidden);
    find(`You hold it to the light: ${FELT_TEST_WORDS.light.grades[grade] ?? ''}.`, true);
  };
  const tape = (): void => {
    const read = Object.entries(taped(truth, hidden, rehearsed));
    const { units } = context.settings;
    find(
      `The tape reads ${read.map(([id, mm]) => `${id} ${showQuantity(mm, 'length', units)}`).join(', ')}.`,
    );
  };
  const drawing = (): void => {
    const { at, across = at } = compared(truth, hidden, rehearsed);
    find(
      across === at
        ? `Its edge lies ${MARK_WORDS[at]}.`
        : `Lengthwise its edge lies ${MARK_WORDS[at]}, crosswise ${MARK_WORDS[across]}.`,
    );
  };
  const isNow = found?.after === after;
  const spots = isNow && found.isLit ? litPlaces(truth, hidden) : [];
  return (
    <section aria-labelledby="in-hands" className="flex flex-col gap-3 p-3">
      <h2 id="in-hands" className="text-lg font-semibold">
        The felt in your hands
      </h2>
      <FeltPicture
        plan={plan}
        truth={truth}
        colour={context.wool?.colour ?? UNDYED}
        spots={spots}
        units={context.settings.units}
      />
      <p role="status" className={`min-h-20 text-lg ${isNow ? '' : 'text-chalk'}`}>
        {found ? (isNow ? found.words : `Before: ${found.words}`) : 'Touch it: what you find stands here.'}
      </p>
      <div className="grid grid-cols-2 gap-2 *:!px-1">
        <Button onClick={() => find(pinchFound(pinched(truth, hidden)))}>Pinch it</Button>
        {TOUCHES.filter(t => suits(t, plan.form)).map(test => (
          <Button
            key={test}
            onClick={() =>
              find(
                `${FELT_TEST_WORDS[test].how} ${sentence(FELT_TEST_WORDS[test].grades[tested(test, truth, hidden)] ?? '')}`,
              )
            }
          >
            {FELT_TEST_WORDS[test].name}
          </Button>
        ))}
        {suits('light', plan.form) && <Button onClick={light}>Hold it to the light</Button>}
        <Button onClick={look}>Open it and look</Button>
        {rehearsed.judge === 'tape' && <Button onClick={tape}>Lay the tape on</Button>}
        {rehearsed.judge === 'drawing' && <Button onClick={drawing}>Hold it to its drawing</Button>}
      </div>
      <p className="text-sm text-chalk">
        Write down what you find at the bench, as you would with wet hands.
      </p>
    </section>
  );
};

const sentence = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;
