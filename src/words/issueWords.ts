/** What is said of an issue: what happened, why, and what to do. */
export interface IssueWords {
  readonly message: string;
  readonly cause: string;
  readonly remedy: string;
}
