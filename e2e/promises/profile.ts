import { spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Page, chromium } from '@playwright/test';
import { BROWSER_FLAGS, browserPath } from '../../scripts/browser.mjs';

/** A folder for a browser's files that outlives the browser. */
export const newProfile = (): string => mkdtempSync(join(tmpdir(), 'profile-'));

/** A browser that can be killed. */
export interface Killable {
  readonly page: Page;
  readonly anotherPage: () => Promise<Page>;
  /** Ends it at once, as a flat battery does: nothing is flushed, nothing is said. */
  readonly kill: () => Promise<void>;
  /** Whether it was ended: what fails from then on fails for that. */
  readonly isGone: () => boolean;
}

/** A browser of its own, with a profile that outlives it. */
export const startBrowser = async (profile: string): Promise<Killable> => {
  const child = spawn(
    browserPath() ?? '',
    [
      ...BROWSER_FLAGS,
      '--headless',
      '--remote-debugging-port=0',
      `--user-data-dir=${profile}`,
      'about:blank',
    ],
    { detached: true },
  );
  const address = await new Promise<string>((resolve, reject) => {
    let said = '';
    child.stderr.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      const found = /DevTools listening on (ws:\S+)/.exec(said)?.[1];
      if (found) resolve(found);
    });
    child.once('exit', () => reject(new Error(said)));
  });
  const browser = await chromium.connectOverCDP(address);
  const context = browser.contexts()[0] ?? (await browser.newContext());
  let isGone = false;
  const kill = async (): Promise<void> => {
    isGone = true;
    const gone = new Promise(resolve => child.once('exit', resolve));
    // The whole group: the browser and the processes that hold its files.
    process.kill(-(child.pid ?? 0), 'SIGKILL');
    await gone;
  };
  return {
    page: await context.newPage(),
    anotherPage: () => context.newPage(),
    kill,
    isGone: () => isGone,
  };
};

export const pause = (ms: number): Promise<void> => new Promise(resolve => setTimeout(resolve, ms));
