import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';
import { build } from 'vite';
import type { Work } from './benchWorks';
import { BROWSER_FLAGS, browserPath } from './browser.mjs';

const here = (path: string): string => fileURLToPath(new URL(path, import.meta.url));

const workerCode = async (): Promise<string> => {
  const built = await build({
    root: here('..'),
    configFile: false,
    logLevel: 'error',
    build: {
      write: false,
      lib: { entry: here('benchWorker.ts'), formats: ['es'] },
      minify: true,
    },
  });
  const [first] = [built].flat();
  const chunk = first && 'output' in first ? first.output[0] : null;
  if (!chunk) throw new Error('The worker was not built.');
  return chunk.code;
};

/** How long works take in a worker of Chromium, each in a new one, ms; null where there is no browser. */
export const timesInBrowser = async (
  works: ReadonlyArray<{ readonly work: Work; readonly runs: number; readonly warmUp: number }>,
): Promise<ReadonlyArray<readonly number[]> | null> => {
  const executablePath = browserPath();
  if (executablePath === null) return null;
  const code = await workerCode();
  const browser = await chromium.launch({ executablePath, args: BROWSER_FLAGS });
  const page = await browser.newPage();
  await page.route('**/*', route =>
    route.fulfill(
      route.request().url().endsWith('.js')
        ? { contentType: 'text/javascript', body: code }
        : { contentType: 'text/html', body: '<!doctype html><title>Bench</title>' },
    ),
  );
  await page.goto('http://bench.test/');
  const found: number[][] = [];
  for (const asked of works)
    found.push(
      await page.evaluate(
        task =>
          new Promise<number[]>((resolve, reject) => {
            const worker = new Worker('/worker.js', { type: 'module' });
            worker.onmessage = ({ data }: MessageEvent<number[]>) => resolve(data);
            worker.onerror = () => reject(new Error('The worker failed.'));
            worker.postMessage(task);
          }),
        asked,
      ),
    );
  await browser.close();
  return found;
};
