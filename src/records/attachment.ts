/** A file that records name by its hash: a picture, most of all. */
export interface Attachment {
  /** SHA-256 of the bytes, lower-case hex. */
  readonly hash: string;
  /** MIME type. */
  readonly type: string;
  readonly bytes: Uint8Array;
  /** When it was kept. */
  readonly at: string;
}
