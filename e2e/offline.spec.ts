import { cp, mkdtemp, readFile, writeFile } from 'node:fs/promises';
import { createServer } from 'node:http';
import { tmpdir } from 'node:os';
import { extname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { type BrowserContext, chromium, expect, type Page, type Response, test } from '@playwright/test';
import { BROWSER_FLAGS, browserPath } from '../scripts/browser.mjs';
import { makeServer } from '../server/app';
import { newProfile } from './promises/profile';
import { isWhole, LONG } from './tiers';
import { PARTS, within } from './within';

const DIST = fileURLToPath(new URL('../dist', import.meta.url));

/** A server of the test's own, that can be stopped and started anew at the same address. */
const serve = async (root: string, port = 0): Promise<{ port: number; stop: () => Promise<void> }> => {
  const app = await makeServer(root);
  await app.listen({ port, host: '127.0.0.1' });
  const at = app.server.address();
  return { port: typeof at === 'object' && at ? at.port : port, stop: () => app.close() };
};

const openProfile = (profile: string): Promise<BrowserContext> =>
  chromium.launchPersistentContext(profile, {
    executablePath: browserPath() ?? '',
    args: BROWSER_FLAGS,
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'allow',
  });

/** Until everything of the build is kept and this page is answered from what is kept. */
const isKept = async (page: Page): Promise<void> => {
  await page.goto(new URL('/file', page.url()).href);
  await page.getByRole('button', { name: 'Keep it for when there is no network' }).click();
  await expect
    .poll(() => page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.active?.state))
    .toBe('activated');
};

/** What the page complains of: a broken policy, a file that did not come. */
const complaintsOf = (page: Page): string[] => {
  const found: string[] = [];
  page.on('console', m => m.type() === 'error' && found.push(m.text()));
  page.on('pageerror', e => found.push(e.message));
  return found;
};

/** One of each kind each time; all of them with all tests. */
const VIEWS = [
  '/',
  '/record/accuracy',
  '/shelf/wool-brick',
  '/pieces/sample-kelp-cosy/plan',
  ...(isWhole
    ? [
        '/schedule',
        '/orders/order-quay',
        '/blend',
        '/file',
        '/new',
        '/rack',
        '/orders',
        '/stock/product-ball',
        '/classes/class-fern',
        '/hours',
        '/projects',
        '/projects/project-garland',
        '/parts',
        '/record',
        '/recipe',
        ...['wool', 'template', 'bench', 'finish', 'diary', 'cost'].map(v => `/pieces/sample-kelp-cosy/${v}`),
      ]
    : []),
];

const policyOf = (answer: Response | null): string => answer?.headers()['content-security-policy'] ?? '';

/** Neither a style nor a script without the nonce is taken. */
const plantedIn = (page: Page): Promise<unknown> =>
  page.evaluate(() => {
    const style = document.createElement('style');
    style.textContent = 'body { --planted: 1 }';
    const script = document.createElement('script');
    script.textContent = 'window.planted = 1';
    document.head.append(style, script);
    return [getComputedStyle(document.body).getPropertyValue('--planted'), Reflect.get(window, 'planted')];
  });

/** Without a server the policy is as strict as with it, and its nonce another each time. */
const expectAsStrict = async (page: Page, at: string, online: string): Promise<void> => {
  const [once, again] = [policyOf(await page.goto(at)), policyOf(await page.goto(at))];
  const rules = (policy: string): string => policy.replace(/nonce-[^']+/, 'nonce');
  expect(rules(once)).toBe(rules(online));
  expect(new Set([online, once, again]).size).toBe(3);
  expect(await plantedIn(page)).toEqual(['', undefined]);
};

test('installed once, it opens with no server, as strict: its views, its workers, its PDFs and the workshop’s file', async () => {
  test.setTimeout(180_000);
  const profile = newProfile();
  const server = await serve(DIST);
  const at = `http://127.0.0.1:${server.port}`;
  const first = await openProfile(profile);
  const page = await first.newPage();
  const online = policyOf(await page.goto(at));
  await expect(page.getByRole('heading', { name: 'On the table' })).toBeVisible();
  await isKept(page);
  await first.close();
  await server.stop();

  const later = await openProfile(profile);
  const offline = await later.newPage();
  const complaints = complaintsOf(offline);
  // Any address opens the page; every view comes from what is kept.
  for (const path of ['/orders/order-quay', '/pieces/sample-kelp-cosy/bench', '/lessons']) {
    const answer = await offline.goto(at + path);
    expect(answer?.fromServiceWorker(), path).toBe(true);
    await expect(offline.getByRole('main').locator(PARTS).first()).toBeVisible();
  }
  for (const path of VIEWS) {
    await within(offline, path);
    await expect(offline.getByText('could not be shown'), path).toHaveCount(0);
  }
  // Workers: the schedule, the forecast of the bench, the record.
  await within(offline, '/schedule');
  await expect(offline.getByRole('list', { name: 'Days' })).toBeVisible();
  await within(offline, '/pieces/sample-kelp-cosy/template');
  const pdf = offline.waitForEvent('download');
  await offline.getByRole('button', { name: /PDF/ }).first().click();
  expect((await readFile(await (await pdf).path())).subarray(0, 5).toString()).toBe('%PDF-');
  await within(offline, '/file');
  const file = offline.waitForEvent('download');
  await offline.getByRole('button', { name: 'Save to a file' }).click();
  expect(JSON.parse(await readFile(await (await file).path(), 'utf8'))).toMatchObject({
    format: 'jorrit-workshop',
  });
  // What is typed is kept.
  await within(offline, '/pieces/sample-fern-mat/plan');
  await offline
    .getByRole('textbox', { name: 'Name of the piece', exact: true })
    .fill('Typed without a server');
  await offline.reload();
  await expect(offline.getByRole('textbox', { name: 'Name of the piece', exact: true })).toHaveValue(
    'Typed without a server',
  );
  expect(complaints).toEqual([]);
  await expectAsStrict(offline, at, online);
  await later.close();
});

test(
  'a newer version waits: told in one line, not at the bench, not while another tab works; taken at a tap',
  LONG,
  async () => {
    test.setTimeout(180_000);
    const newer = await mkdtemp(join(tmpdir(), 'newer-'));
    await cp(DIST, newer, { recursive: true });
    const page2 = await readFile(join(newer, 'index.html'), 'utf8');
    await writeFile(
      join(newer, 'index.html'),
      page2.replace('<title>Jorrit</title>', '<title>Jorrit</title><meta name="made" content="newer">'),
    );
    const worker = await readFile(join(newer, 'sw.js'), 'utf8');
    // Another build: the page has another revision, and so has the worker that keeps it.
    const next = worker
      .replace(/(url:"\/index\.html",revision:")\w+/, '$1newerrevision00')
      .replace(/(`\/index\.html`,revision:`)\w+/, '$1newerrevision00');
    await writeFile(join(newer, 'sw.js'), next === worker ? `${worker}\n//newer` : next);

    const old = await serve(DIST);
    const at = `http://127.0.0.1:${old.port}`;
    const context = await openProfile(newProfile());
    const page = await context.newPage();
    await page.goto(at);
    await isKept(page);
    await old.stop();
    const server = await serve(newer, old.port);
    await page.goto(`${at}/pieces/sample-kelp-cosy/bench`);
    const line = page.getByText('A newer version of Jorrit is here.');
    await expect
      .poll(
        () => page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.waiting?.state),
        {
          timeout: 40_000,
        },
      )
      .toBe('installed');
    // In the middle of a set nothing is said, and nothing changes.
    await expect(line).toHaveCount(0);
    await page.getByRole('link', { name: 'Back to the table' }).click();
    await expect(line).toBeVisible();
    const other = await context.newPage();
    await other.goto(`${at}/shelf`);
    await expect(other.getByRole('heading', { name: 'Shelf' })).toBeVisible();
    await page.getByRole('button', { name: 'Use it now' }).click();
    await expect(page.getByText('Close the other tabs with Jorrit first').first()).toBeVisible();
    // The other tab goes on, view by view, as it was.
    await other.getByRole('link', { name: 'Record' }).click();
    await expect(other.getByRole('heading', { name: 'Record' })).toBeVisible();
    await other.close();
    // Until the browser has let go of the lock that tab held.
    const tabs = (): Promise<number> =>
      page.evaluate(
        async () =>
          (await navigator.locks.query()).held?.filter(l => l.name?.startsWith('jorrit.tab.')).length ?? 0,
      );
    await expect.poll(tabs).toBe(1);
    await page.getByRole('button', { name: 'Use it now' }).click();
    await expect(page.locator('meta[name=made]')).toHaveCount(1);
    await expect(page.getByRole('heading', { name: 'On the table' })).toBeVisible();
    await expect(line).toHaveCount(0);
    await context.close();
    await server.stop();
  },
);

/** A host of plain files: nothing but what lies in the folder, and its 404 page for all else. */
const servePlain = async (root: string): Promise<{ at: string; stop: () => Promise<void> }> => {
  const types: Readonly<Record<string, string>> = {
    '.js': 'text/javascript',
    '.css': 'text/css',
    '.html': 'text/html',
    '.svg': 'image/svg+xml',
    '.woff2': 'font/woff2',
  };
  const host = createServer((request, reply) => {
    const path = (request.url ?? '/').split('?')[0] ?? '/';
    const send = (status: number, name: string): Promise<void> =>
      readFile(join(root, name)).then(bytes => {
        reply
          .writeHead(status, { 'content-type': types[extname(name)] ?? 'application/octet-stream' })
          .end(bytes);
      });
    send(200, path === '/' ? '/index.html' : path)
      .catch(() => send(404, '/404.html'))
      .catch(() => reply.writeHead(500).end());
  });
  await new Promise<void>(resolve => host.listen(0, '127.0.0.1', resolve));
  const at = host.address();
  return {
    at: `http://127.0.0.1:${typeof at === 'object' && at ? at.port : 0}`,
    stop: () =>
      new Promise(resolve => {
        host.close(() => resolve());
        host.closeAllConnections();
      }),
  };
};

test(
  'the built folder works from a host of plain files: its policy in the page, each view at its address, then offline',
  LONG,
  async () => {
    test.setTimeout(120_000);
    const host = await servePlain(DIST);
    const context = await openProfile(newProfile());
    const page = await context.newPage();
    const complaints = complaintsOf(page);
    await page.goto(host.at);
    await expect(page.getByRole('heading', { name: 'On the table' })).toBeVisible();
    await page.getByRole('link', { name: 'Kelp cosy, four cups' }).first().click();
    await expect(page.getByRole('heading', { name: 'Kelp cosy, four cups' })).toBeAttached();
    const planted = (): Promise<unknown> =>
      page.evaluate(() => {
        const script = document.createElement('script');
        script.textContent = 'window.planted = 1';
        document.head.append(script);
        return Reflect.get(window, 'planted') ?? 'not taken';
      });
    expect(complaints).toEqual([]);
    expect(await planted()).toBe('not taken');
    await isKept(page);
    await host.stop();
    await page.goto(`${host.at}/schedule`);
    await expect(page.getByRole('list', { name: 'Days' })).toBeVisible();
    await context.close();
  },
);
