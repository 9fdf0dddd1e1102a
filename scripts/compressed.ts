import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import type { Plugin } from 'vite';

const WORDS = /\.(js|css|svg|txt|ttf|json)$/;
/** What is smaller goes out in one packet either way, bytes. */
const SMALLEST = 1400;
/** The best that does not take longer than the build itself. */
const BROTLI = { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } };

/** Writes what is served compressed beside what is built, once, so that the server need not do it for every request. */
export const compressed = (): Plugin => ({
  name: 'compressed',
  apply: 'build',
  writeBundle({ dir = 'dist' }, bundle) {
    for (const [name, file] of Object.entries(bundle)) {
      const bytes = Buffer.from(file.type === 'chunk' ? file.code : file.source);
      if (!WORDS.test(name) || bytes.length < SMALLEST) continue;
      writeFileSync(join(dir, `${name}.br`), brotliCompressSync(bytes, BROTLI));
      writeFileSync(join(dir, `${name}.gz`), gzipSync(bytes, { level: 9 }));
    }
  },
});
