import { randomBytes } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import compress from '@fastify/compress';
import helmet from '@fastify/helmet';
import fastifyStatic from '@fastify/static';
import Fastify, { type FastifyInstance } from 'fastify';

const NONCE = '__CSP_NONCE__';

/** Everything comes from here; styles by nonce, so nothing else can be injected. */
const policy = (nonce: string): string =>
  [
    "default-src 'self'",
    "script-src 'self'",
    "worker-src 'self'",
    `style-src 'self' 'nonce-${nonce}'`,
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'none'",
    "frame-ancestors 'none'",
  ].join('; ');

/**
 * Serves the built application: hashed files for long, the page itself fresh each time with its own style nonce.
 * @param root folder of the build
 */
export const makeServer = async (root: string): Promise<FastifyInstance> => {
  const app = Fastify({ logger: false });
  await app.register(compress);
  await app.register(helmet, {
    contentSecurityPolicy: false,
    crossOriginEmbedderPolicy: { policy: 'require-corp' },
    referrerPolicy: { policy: 'no-referrer' },
    strictTransportSecurity: false,
  });
  await app.register(fastifyStatic, {
    root,
    index: false,
    cacheControl: false,
    setHeaders: (reply, path) => {
      const hashed = path.startsWith(join(root, 'assets'));
      reply.setHeader('cache-control', hashed ? 'public, max-age=31536000, immutable' : 'no-cache');
    },
  });
  const page = await readFile(join(root, 'index.html'), 'utf8');
  const sendPage = (reply: {
    header: (k: string, v: string) => unknown;
    type: (t: string) => { send: (b: string) => unknown };
  }): unknown => {
    const nonce = randomBytes(16).toString('base64');
    reply.header('content-security-policy', policy(nonce));
    reply.header('cache-control', 'no-store');
    return reply.type('text/html; charset=utf-8').send(page.replaceAll(NONCE, nonce));
  };
  app.get('/', (_request, reply) => sendPage(reply));
  app.get('/healthz', () => ({ ok: true }));
  app.setNotFoundHandler((request, reply) =>
    request.method === 'GET' && !/\.[a-z0-9]+$/i.test(request.url.split('?')[0] ?? '')
      ? sendPage(reply)
      : reply.code(404).type('text/plain').send('Not here.'),
  );
  return app;
};
