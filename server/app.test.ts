import { mkdtemp, mkdir, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import type { FastifyInstance } from 'fastify';
import { makeServer } from './app';

let app: FastifyInstance;
beforeAll(async () => {
  const root = await mkdtemp(join(tmpdir(), 'served-'));
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
