import { useState } from 'react';
import { Link } from 'react-router';
import type { Issue } from '../../core/issues';
import { download, fileName } from '../../files/download';
import { lessonText } from '../../files/lessonText';
import type { Lesson } from '../../records/lesson';
import { useLessons } from '../../session/useLessons';
import { useNotify } from '../../session/notices';
import { Button, buttonClass } from '../../ui/Button';
import { FileButton } from '../../ui/FileButton';
import { useTitle } from '../../ui/useTitle';
import { ISSUES, issueText } from '../../words/issues';

const save = (lesson: Lesson): void =>
  download(
    fileName(`lesson ${lesson.title}`, 'json'),
    'application/json',
    new TextEncoder().encode(lessonText(lesson)),
  );

/** Lessons on a made-up piece, each one thing: those that are there from the start, and those that were passed on. */
export const LessonsView = () => {
  useTitle('Lessons');
  const { all, own, read, remove } = useLessons();
  const { failed } = useNotify();
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const open = (file: File): void => {
    file.arrayBuffer().then(buffer => setIssues(read(new Uint8Array(buffer))), failed);
  };
  return (
    <div className="min-h-0 flex-1 overflow-auto px-6 py-4">
      <h1 className="text-3xl font-semibold">Lessons</h1>
      <p className="mt-1 max-w-prose">
        Each is a few minutes on a made-up piece, at the bench as it always is. No wool is used, and nothing
        of it is kept.
      </p>
      <ul className="mt-4 grid max-w-5xl gap-x-10 md:grid-cols-2">
        {all.map(lesson => (
          <li key={lesson.id} className="flex flex-col gap-2 border-t border-ink py-3">
            <h2 className="text-xl font-semibold">{lesson.title}</h2>
            <p className="flex-1">{lesson.about}</p>
            <div className="flex flex-wrap gap-2">
              <Link
                to={`/lessons/${lesson.id}`}
                className={buttonClass('main', 'dry')}
                aria-label={`Begin ${lesson.title}`}
              >
                Begin
              </Link>
              <Button look="bare" aria-label={`Save ${lesson.title} as a file`} onClick={() => save(lesson)}>
                Save as a file
              </Button>
              <Link
                to={`/lessons/${lesson.id}/change`}
                className={buttonClass('bare', 'dry')}
                aria-label={`Change ${lesson.title}`}
              >
                Change
              </Link>
              {own.has(lesson.id) && (
                <Button look="bare" aria-label={`Remove ${lesson.title}`} onClick={() => remove(lesson.id)}>
                  Remove
                </Button>
              )}
            </div>
          </li>
        ))}
      </ul>
      <section aria-labelledby="own" className="mt-4 max-w-prose border-t-2 border-ink pt-1">
        <h2 id="own" className="text-lg font-semibold">
          Your own lessons
        </h2>
        <p className="mb-2">
          Change any of them: its words, its piece, what may go wrong and what it waits for. What you keep is
          your own, beside the one it came from. Save it as a file and pass it on as you pass on a recipe.
        </p>
        <FileButton accept=".json,application/json" onPick={open}>
          Open a lesson
        </FileButton>
        {issues.length > 0 && (
          <div role="alert" className="mt-3 border-l-4 border-wanted pl-3">
            <p className="font-semibold">The lesson could not be opened.</p>
            <ul>
              {issues.slice(0, 6).map((it, i) => (
                <li key={i}>
                  {issueText(it)} {ISSUES[it.code].remedy}
                </li>
              ))}
            </ul>
          </div>
        )}
      </section>
    </div>
  );
};
