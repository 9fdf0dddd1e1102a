import { once } from 'node:events';
import { mkdtemp, mkdir, writeFile } from 'node:fs/promises';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, brotliDecompressSync } from 'node:zlib';
import { beforeAll, describe, expect, it } from 'vitest';
import type { FastifyInstance } from 'fastify';
import { makeServer } from './app';

let app: FastifyInstance;
let root = '';
beforeAll(async () => {
  root = await mkdtemp(join(tmpdir(), 'served-'));
  await mkdir(join(root, 'assets'));
  await writeFile(join(root, 'index.html'), '<meta nonce="__CSP_NONCE__"><div id="root"></div>');
  await writeFile(join(root, 'assets', 'app-1a2b.js'), 'export {};');
  app = await makeServer(root);
});

const nonceOf = (policy: string): string => /'nonce-([^']+)'/.exec(policy)?.[1] ?? '';

describe('the server', () => {
  it('sends the page for every view’s own address, each time with its own nonce', async () => {
    const [a, b] = await Promise.all(['/', '/pieces/x/bench'].map(url => app.inject({ url })));
    for (const reply of [a, b]) {
      expect(reply?.statusCode).toBe(200);
      const nonce = nonceOf(String(reply?.headers['content-security-policy']));
      expect(nonce.length).toBeGreaterThan(20);
      expect(reply?.body).toContain(`nonce="${nonce}"`);
    }
    expect(nonceOf(String(a?.headers['content-security-policy']))).not.toBe(
      nonceOf(String(b?.headers['content-security-policy'])),
    );
  });

  it('forbids every other origin, frames, inline script and eval', async () => {
    const policy = String((await app.inject({ url: '/' })).headers['content-security-policy']);
    expect(policy).toContain("default-src 'self'");
    expect(policy).toContain("script-src 'self'");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).not.toContain('unsafe');
    expect(policy).not.toContain('http');
  });

  it('sends the page as a file by the same rules: with its policy, its nonce put in, never kept', async () => {
    const reply = await app.inject({ url: '/index.html' });
    expect(reply.statusCode).toBe(200);
    expect(reply.body).not.toContain('__CSP_NONCE__');
    expect(nonceOf(String(reply.headers['content-security-policy'])).length).toBeGreaterThan(20);
    expect(reply.headers['cache-control']).toBe('no-store');
  });

  it('gives scripts, a worker’s above all, a policy of their own', async () => {
    const policy = String(
      (await app.inject({ url: '/assets/app-1a2b.js' })).headers['content-security-policy'],
    );
    expect(policy).toContain("default-src 'self'");
    expect(policy).toContain("connect-src 'self'");
    expect(policy).toContain("style-src 'none'");
    expect(policy).not.toContain('unsafe');
  });

  it('answers HEAD as it answers GET, on every address', async () => {
    for (const url of ['/', '/index.html', '/pieces/x/bench', '/assets/app-1a2b.js', '/healthz']) {
      const [head, get] = await Promise.all([app.inject({ url, method: 'HEAD' }), app.inject({ url })]);
      expect([url, head.statusCode]).toEqual([url, get.statusCode]);
      expect(head.headers['content-type']).toBe(get.headers['content-type']);
    }
    expect((await app.inject({ url: '/assets/gone.js', method: 'HEAD' })).statusCode).toBe(404);
  });

  it('sends what the build has compressed already, to who can read it', async () => {
    const url = '/assets/app-1a2b.js';
    await writeFile(join(root, `${url}.br`), brotliCompressSync('export {};'));
    const reply = await app.inject({ url, headers: { 'accept-encoding': 'gzip, br' } });
    expect(reply.headers['content-encoding']).toBe('br');
    expect(reply.headers['content-type']).toContain('javascript');
    expect(reply.headers['cache-control']).toContain('immutable');
    expect(brotliDecompressSync(reply.rawPayload).toString()).toBe('export {};');
    const plain = await app.inject({ url });
    expect(plain.headers['content-encoding']).toBeUndefined();
    expect(plain.body).toBe('export {};');
  });

  it('does not wait for a request that never comes whole when it is stopped', async () => {
    const busy = await makeServer(root);
    await busy.listen({ port: 0, host: '127.0.0.1' });
    const address = busy.server.address();
    const port = typeof address === 'object' && address !== null ? address.port : 0;
    const slow = connect(port, '127.0.0.1');
    await once(slow, 'connect');
    slow.on('error', () => undefined);
    slow.write('POST /x HTTP/1.1\r\nHost: x\r\nContent-Length: 900\r\n\r\nab');
    await new Promise(resolve => setTimeout(resolve, 100));
    const before = performance.now();
    await busy.close();
    expect(performance.now() - before).toBeLessThan(3000);
    slow.destroy();
  });

  it('keeps hashed files for long, and answers 404 to files that are not there', async () => {
    const file = await app.inject({ url: '/assets/app-1a2b.js' });
    expect(file.headers['cache-control']).toContain('immutable');
    expect(file.headers['x-content-type-options']).toBe('nosniff');
    expect((await app.inject({ url: '/assets/gone.js' })).statusCode).toBe(404);
    expect((await app.inject({ url: '/x', method: 'POST' })).statusCode).toBe(404);
  });

  it('does not leave its folder', async () => {
    const reply = await app.inject({ url: '/../../etc/hostname.txt' });
    expect(reply.statusCode).toBe(404);
    const encoded = await app.inject({ url: '/%2e%2e/%2e%2e/package.json' });
    expect([400, 403, 404]).toContain(encoded.statusCode);
  });
});
