import type { Backend, TableSpec, Tables } from './backend';

type Rows = ReadonlyMap<string, object>;

const keyOf = (value: object, spec: TableSpec, key?: string): string => {
  const own: unknown = spec.key === null ? key : Reflect.get(value, spec.key);
  if (typeof own !== 'string') throw new Error(`A row of ${spec.name} has no key.`);
  return own;
};

/** Tables that live as long as the page: for tests, for a rehearsal, and where the browser keeps nothing. */
export const memoryBackend = (specs: readonly TableSpec[]): Backend => {
  let rows = new Map<string, Rows>(specs.map(s => [s.name, new Map()]));
  let last: Promise<unknown> = Promise.resolve();

  const tablesOver = (draft: Map<string, Rows>): Tables => {
    const spec = (table: string): TableSpec => {
      const found = specs.find(s => s.name === table);
      if (!found) throw new Error(`There is no table ${table}.`);
      return found;
    };
    const rowsOf = (table: string): Rows => draft.get(spec(table).name) ?? new Map();
    const logOf = (pieceId: string): readonly object[] =>
      specs
        .filter(s => s.isLog)
        .flatMap(s => [...rowsOf(s.name).values()])
        .filter(row => Reflect.get(row, 'pieceId') === pieceId);
    return {
      get: async (table, key) => structuredClone(rowsOf(table).get(key)),
      all: async table => [...rowsOf(table).values()].map(row => structuredClone(row)),
      keys: async table => [...rowsOf(table).keys()],
      put: async (table, value, key) => {
        draft.set(table, new Map(rowsOf(table)).set(keyOf(value, spec(table), key), structuredClone(value)));
      },
      remove: async (table, key) => {
        const next = new Map(rowsOf(table));
        next.delete(key);
        draft.set(table, next);
      },
      log: async pieceId => logOf(pieceId).map(row => structuredClone(row)),
      lastSeq: async (pieceId, most) => {
        const places = logOf(pieceId).flatMap(row => {
          const seq: unknown = Reflect.get(row, 'seq');
          return typeof seq === 'number' ? [seq] : [];
        });
        return {
          last: places.reduce((max, n) => (n <= most ? Math.max(max, n) : max), 0),
          beyond: places.some(n => n > most),
        };
      },
    };
  };
  return {
    run: (_tables, mode, work) => {
      const turn = last.then(async () => {
        const draft = new Map(rows);
        const result = await work(tablesOver(draft));
        if (mode === 'readwrite') rows = draft;
        return result;
      });
      last = turn.catch(() => undefined);
      return turn;
    },
    tellOthers: () => undefined,
    onOthers: () => undefined,
    close: () => undefined,
  };
};
