import { fileURLToPath } from 'node:url';
import { addressFrom, listenFailure, reachableAt } from './address';
import { makeServer } from './app';
import { houseWords } from './houseWords';

const say = (text: string): void => void process.stdout.write(`${text}\n`);
const stop = (why: string): never => {
  process.stderr.write(`\n${why}\n`);
  process.exit(1);
};

const root = fileURLToPath(new URL('../dist', import.meta.url));
const address = addressFrom(process.argv.slice(2), process.env);
if (!address.ok) stop(address.why);
else {
  const { port, host } = address;
  const app = await makeServer(root);
  await app.listen({ port, host }).catch((error: unknown) => stop(listenFailure(error, { port, host })));
  // Port 0 is any that is free.
  const bound = app.server.address();
  const at = typeof bound === 'object' && bound !== null ? bound.port : port;
  const [first, ...others] = reachableAt(host, at);
  say(`\nJorrit is ready: ${first}`);
  for (const other of others) say(`                 ${other}`);
  const [inHouse] = others;
  if (inHouse !== undefined) say(`\n${await houseWords(inHouse)}\n`);
  say('It opens on the sample workshop. Stop it with Ctrl+C.');
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.once(signal, () => void app.close().then(() => process.exit(0)));
}
