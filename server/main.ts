import { fileURLToPath } from 'node:url';
import { makeServer } from './app';

const FIRST_PORT = 4870;
const TRIES = 20;

const root = fileURLToPath(new URL('../dist', import.meta.url));
const wanted = process.env['PORT'] ? Number(process.env['PORT']) : null;
const host = process.env['HOST'] ?? '127.0.0.1';
const app = await makeServer(root);

/** Listens on the port that was asked for, or on the first free one. */
const listen = async (): Promise<string> => {
  const ports = wanted === null ? Array.from({ length: TRIES }, (_, i) => FIRST_PORT + i) : [wanted];
  for (const port of ports) {
    try {
      return await app.listen({ port, host });
    } catch (error) {
      const busy = error instanceof Error && 'code' in error && error.code === 'EADDRINUSE';
      if (!busy || port === ports.at(-1)) throw error;
    }
  }
  throw new Error('No free port.');
};

const address = await listen();
process.stdout.write(
  `\nJorrit is ready: ${address}\nIt opens on the sample workshop. Stop it with Ctrl+C.\n`,
);
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.once(signal, () => void app.close().then(() => process.exit(0)));
