import { type Issue, issue } from '../core/issues';
import { issueText } from '../words/issues';

/** A failure of the store, with the issue that it comes to. */
export class StoreError extends Error {
  readonly issue: Issue;
  constructor(it: Issue) {
    super(issueText(it));
    this.name = 'StoreError';
    this.issue = it;
  }
}

const names = (error: unknown): { readonly name: string; readonly message: string } =>
  error instanceof Error || error instanceof DOMException ? error : { name: '', message: String(error) };

/** The issue behind whatever was thrown by the browser's database. */
export const storeError = (error: unknown): StoreError => {
  if (error instanceof StoreError) return error;
  const { name, message } = names(error);
  const detail = message === '' ? name : `${message.replace(/\.$/, '')}.`;
  switch (name) {
    case 'QuotaExceededError':
      return new StoreError(issue('STORE_FULL', '', { detail }));
    case 'VersionError':
      return new StoreError(issue('RECORD_NEWER', ''));
    case 'InvalidStateError':
      return new StoreError(issue('STORE_CLOSED', '', { detail }));
    default:
      return new StoreError(issue('STORE_FAILED', '', { detail }));
  }
};
