import type { Issue } from '../core/issues';
import { issueText } from '../words/issues';
import type { Result } from '../core/result';

/** A job that gave no value: so a query keeps it as a failure that can be tried again, never as an answer of nothing. */
class JobError extends Error {
  readonly issues: readonly Issue[];
  constructor(issues: readonly Issue[]) {
    super(issues.map(issueText).join(' '));
    this.name = 'JobError';
    this.issues = issues;
  }
}

/** The value of a job. Throws a `JobError` with its issues where it has none. */
export const valueOf = <T>(result: Result<T>): T => {
  if (!result.ok) throw new JobError(result.issues);
  return result.value;
};
