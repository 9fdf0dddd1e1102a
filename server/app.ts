import { randomBytes } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import compress from '@fastify/compress';
import helmet from '@fastify/helmet';
import fastifyStatic from '@fastify/static';
import Fastify, { type FastifyInstance, type FastifyReply } from 'fastify';
import { NONCE, pagePolicy, SCRIPT_POLICY } from './policy';

/** A request that has not come whole by then is given up: it must not hold the stop either. */
const REQUEST_MS = 10_000;
/** Nothing is sent here but questions. */
const LARGEST_BODY = 1024;

/** Whether a path is a view's own address: it names no file. */
const isView = (url: string): boolean => !/\.[a-z0-9]+$/i.test(url.split('?')[0] ?? '');

/**
 * Serves the built application: hashed files for long, the page itself fresh each time with its own style nonce.
 * @param root folder of the build
 */
export const makeServer = async (root: string): Promise<FastifyInstance> => {
  const app = Fastify({
    logger: false,
    bodyLimit: LARGEST_BODY,
    requestTimeout: REQUEST_MS,
    connectionTimeout: REQUEST_MS,
    forceCloseConnections: true,
  });
  await app.register(compress);
  await app.register(helmet, {
    contentSecurityPolicy: false,
    crossOriginEmbedderPolicy: { policy: 'require-corp' },
    referrerPolicy: { policy: 'no-referrer' },
    strictTransportSecurity: false,
  });
  const page = await readFile(join(root, 'index.html'), 'utf8');
  const sendPage = (reply: FastifyReply): FastifyReply => {
    const nonce = randomBytes(16).toString('base64');
    return reply
      .header('content-security-policy', pagePolicy(nonce))
      .header('cache-control', 'no-store')
      .type('text/html; charset=utf-8')
      .send(page.replaceAll(NONCE, nonce));
  };
  // The page has no other name than the views have: as a file it would go out without its policy and its nonce.
  for (const url of ['/', '/index.html']) app.get(url, (_request, reply) => sendPage(reply));
  await app.register(fastifyStatic, {
    root,
    index: false,
    cacheControl: false,
    preCompressed: true,
    // The same page under another name, and what only other hosts read.
    allowedPath: path => !['/index.html', '/404.html', '/_headers'].includes(path),
    setHeaders: (reply, path) => {
      const hashed = path.startsWith(join(root, 'assets'));
      reply.setHeader('cache-control', hashed ? 'public, max-age=31536000, immutable' : 'no-cache');
      reply.setHeader('content-security-policy', SCRIPT_POLICY);
    },
  });
  app.get('/healthz', () => ({ ok: true }));
  app.setNotFoundHandler((request, reply) =>
    ['GET', 'HEAD'].includes(request.method) && isView(request.url)
      ? sendPage(reply)
      : reply.code(404).type('text/plain').send('Not here.'),
  );
  return app;
};
