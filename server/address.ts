import { networkInterfaces } from 'node:os';

/** Where Jorrit is served unless it is asked otherwise. An address is an origin, and each origin is a workshop of its own. */
export const USUAL_PORT = 4870;
const USUAL_HOST = '127.0.0.1';
/** Heard by the other devices of the house as well. */
const EVERY_INTERFACE = '0.0.0.0';
const HIGHEST_PORT = 65_535;

/** Where to listen, or a sentence on why that cannot be. */
export type Address =
  | { readonly ok: true; readonly port: number; readonly host: string }
  | { readonly ok: false; readonly why: string };

/**
 * Reads where to listen from the command line (`--port 5000`; `--lan` for the whole house) and the environment (`PORT`, `HOST`).
 * @example addressFrom(['--port', '5000'], {}) // { ok: true, port: 5000, host: '127.0.0.1' }
 */
export const addressFrom = (
  args: readonly string[],
  env: Readonly<Record<string, string | undefined>>,
): Address => {
  const at = args.findIndex(a => a === '--port' || a.startsWith('--port='));
  const given = at < 0 ? env['PORT'] : (args[at]?.split('=')[1] ?? args[at + 1] ?? '');
  const isAsked = given !== undefined && (at >= 0 || given !== '');
  const port = isAsked ? Number(given) : USUAL_PORT;
  if ((isAsked && given.trim() === '') || !Number.isInteger(port) || port < 0 || port > HIGHEST_PORT)
    return { ok: false, why: `“${given ?? ''}” is no port. Give a number from 1 to ${HIGHEST_PORT}.` };
  const inHouse = args.includes('--lan') ? EVERY_INTERFACE : undefined;
  return { ok: true, port, host: inHouse ?? env['HOST'] ?? USUAL_HOST };
};

/** Why a server could not listen, in a sentence and what to do. */
export const listenFailure = (error: unknown, { port, host }: { port: number; host: string }): string => {
  const code = error instanceof Error && 'code' in error ? error.code : '';
  switch (code) {
    case 'EADDRINUSE':
      return `Port ${port} is busy: perhaps Jorrit is running already. Open http://127.0.0.1:${port}, or stop what uses the port. At another port (npm start -- --port ${port + 1}) the browser shows another, empty workshop.`;
    case 'EACCES':
      return `Port ${port} may not be used by you. Take one above 1023: npm start -- --port ${USUAL_PORT}.`;
    case 'EADDRNOTAVAIL':
    case 'ENOTFOUND':
      return `This computer has no address ${host}. Leave HOST away, or give one of its own.`;
    default:
      return `It could not listen at ${host}:${port}. ${error instanceof Error ? error.message : String(error)}`;
  }
};

/** Addresses at which a browser finds it: for “every interface” those of this computer, not a name that leads nowhere. */
export const reachableAt = (host: string, port: number): readonly string[] => {
  const url = (name: string): string => `http://${name.includes(':') ? `[${name}]` : name}:${port}`;
  if (host !== EVERY_INTERFACE && host !== '::') return [url(host)];
  const outside = Object.values(networkInterfaces())
    .flatMap(all => all ?? [])
    .filter(n => !n.internal && n.family === 'IPv4')
    .map(n => n.address);
  return ['127.0.0.1', ...outside].map(url);
};
