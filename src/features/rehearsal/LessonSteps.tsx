import { useState } from 'react';
import { Link } from 'react-router';
import { isMet } from '../../core/rehearsal/goal';
import type { FeltTruth } from '../../core/rehearsal/rehearse';
import type { Lesson } from '../../records/lesson';
import type { PieceContext } from '../../session/pieceContext';
import { useRehearsal } from '../../session/rehearsal';
import { useRehearsed } from './useRehearsed';

/** How many steps of a lesson are behind one: what was once reached stays so. */
const useReached = ({ steps }: Lesson, truth: FeltTruth): number => {
  const [reached, setReached] = useState(0);
  const next = steps[reached];
  if (next !== undefined && isMet(next.until, truth)) setReached(reached + 1);
  return reached;
};

/** What the lesson says that one is in; nothing where it is only practised. */
export const LessonPart = ({ context }: { readonly context: PieceContext }) => {
  const { lesson } = useRehearsal();
  const known = useRehearsed(context);
  return lesson && known ? <LessonSteps lesson={lesson} truth={known.truth} /> : null;
};

/** What a lesson says now; at its end, what shows that it was seen. */
const LessonSteps = ({ lesson, truth }: { readonly lesson: Lesson; readonly truth: FeltTruth }) => {
  const reached = useReached(lesson, truth);
  const step = lesson.steps[reached];
  return (
    <section aria-label="Lesson" className="border-b-2 border-laid bg-soap p-3">
      <h2 className="text-lg font-semibold">{lesson.title}</h2>
      <div role="status">
        {step ? (
          <>
            <p className="text-sm text-chalk">
              Step {reached + 1} of {lesson.steps.length}
            </p>
            <p>{step.says}</p>
          </>
        ) : (
          <>
            <p className="text-sm text-chalk">At the end</p>
            {lesson.shows.map(({ goal, good, bad }, i) => {
              const isGood = isMet(goal, truth);
              return (
                <p key={i} className={`border-l-4 pl-2 ${isGood ? 'border-now' : 'border-wanted'}`}>
                  {isGood ? good : bad}
                </p>
              );
            })}
            <p className="mt-2">
              <Link to="/lessons" className="underline">
                Other lessons
              </Link>
            </p>
          </>
        )}
      </div>
    </section>
  );
};
