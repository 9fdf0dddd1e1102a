/** Raw tables inside one transaction. Only these may be awaited in it. */
export interface Tables {
  readonly get: (table: string, key: string) => Promise<unknown>;
  readonly all: (table: string) => Promise<readonly unknown[]>;
  readonly keys: (table: string) => Promise<readonly string[]>;
  /** Puts a value in place of the one with its key. @param key where the value does not hold it itself */
  readonly put: (table: string, value: object, key?: string) => Promise<void>;
  readonly remove: (table: string, key: string) => Promise<void>;
  /** Raw entries of one piece's log. */
  readonly log: (pieceId: string) => Promise<readonly unknown[]>;
  /** The last places of a piece's log: the last within what a place may be, and whether any lies beyond. */
  readonly lastSeq: (
    pieceId: string,
    most: number,
  ) => Promise<{ readonly last: number; readonly beyond: boolean }>;
}

/**
 * Where tables are kept. A transaction is carried out whole or not at all, is durable when its promise settles, and sees no
 * other in the middle.
 */
export interface Backend {
  readonly run: <R>(
    tables: readonly string[],
    mode: 'readonly' | 'readwrite',
    work: (tables: Tables) => Promise<R>,
  ) => Promise<R>;
  /** Tells other tabs. */
  readonly tellOthers: (message: object) => void;
  readonly onOthers: (listener: (message: unknown) => void) => void;
  readonly close: () => void;
}

/** How a table is kept: what is its key, and since which version of the database. */
export interface TableSpec {
  readonly name: string;
  readonly since: number;
  /** Name of the field that is its key; null where the key stands outside. */
  readonly key: 'id' | 'hash' | null;
  /** True for the log, which is read by piece. */
  readonly isLog?: boolean;
}
