import { createContext, useContext } from 'react';
import type { Issue } from '../core/issues';
import { ISSUES, issueText } from '../words/issues';
import { storeError } from '../store/storeError';

/** A short word to the felter, with at most one thing to do about it. */
export interface Notice {
  readonly text: string;
  /** True where it stays until it is dismissed: whoever is meant may be away. */
  readonly stays?: true;
  readonly action?: { readonly label: string; readonly run: () => void };
}

export interface Notify {
  readonly tell: (notice: Notice) => void;
  /** For a write that did not succeed. */
  readonly failed: (error: unknown) => void;
}

export const NotifyContext = createContext<Notify>({ tell: () => undefined, failed: () => undefined });
export const useNotify = (): Notify => useContext(NotifyContext);

/** The issue that a failed write comes to. */
export const storeIssue = (error: unknown): Issue => storeError(error).issue;

/** An issue, and what to do about it. */
export const issueNotice = (it: Issue): Notice => ({ text: `${issueText(it)} ${ISSUES[it.code].remedy}` });

/** What is said when the browser did not keep something. */
export const storeFailure = (error: unknown): Notice => issueNotice(storeIssue(error));
