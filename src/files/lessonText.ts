import { issue } from '../core/issues';
import { errs, ok, type Result } from '../core/result';
import { planOf } from '../core/plan/planOf';
import { type Lesson, LessonSchema } from '../records/lesson';
import { parseJsonObject } from './parseJson';
import { textOf } from './textOf';

/** A lesson as text: JSON, indented, to be changed in any editor. */
export const lessonText = (lesson: Lesson): string => `${JSON.stringify(lesson, null, 1)}\n`;

/**
 * A lesson from its file. Never throws. Fails with FILE_NOT_TEXT, FILE_NOT_JSON, FILE_TOO_DEEP, FILE_INVALID with the place of each, and as a plan
 * does.
 */
export const readLesson = (bytes: Uint8Array): Result<Lesson> => {
  const text = textOf(bytes);
  if (!text.ok) return text;
  const json = parseJsonObject(text.value);
  if (!json.ok) return json;
  const read = LessonSchema.safeParse(json.value);
  if (!read.success)
    return errs(
      read.error.issues.map(it => issue('FILE_INVALID', it.path.join('.'), { detail: `${it.message}.` })),
    );
  const plan = planOf(read.data.plan);
  return plan.ok ? ok(read.data) : plan;
};
