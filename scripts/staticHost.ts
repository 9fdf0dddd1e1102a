import { copyFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Plugin } from 'vite';
import { metaPolicy, NONCE, pagePolicy, SCRIPT_POLICY } from '../server/policy.ts';

/** Headers for hosts that read them from a file of this name; the page's own policy stands in the page as well. */
const HEADERS = `/*
  Content-Security-Policy: ${pagePolicy(NONCE)}
  X-Content-Type-Options: nosniff
  Referrer-Policy: no-referrer
/assets/*
  Cache-Control: public, max-age=31536000, immutable
  Content-Security-Policy: ${SCRIPT_POLICY}
/sw.js
  Cache-Control: no-cache
  Content-Security-Policy: ${SCRIPT_POLICY}
/early.js
  Cache-Control: no-cache
  Content-Security-Policy: ${SCRIPT_POLICY}
`;

/** Makes a build that any host of plain files can serve: its policy in the page, the page for addresses that are no file, and headers. */
export const staticHost = (): Plugin => {
  let out = 'dist';
  return {
    name: 'static-host',
    apply: 'build',
    configResolved(config) {
      out = config.build.outDir;
    },
    transformIndexHtml: () => [
      {
        tag: 'meta',
        attrs: { 'http-equiv': 'Content-Security-Policy', content: metaPolicy(NONCE) },
        injectTo: 'head-prepend',
      },
    ],
    writeBundle() {
      // What such hosts send for a view's own address.
      copyFileSync(join(out, 'index.html'), join(out, '404.html'));
      writeFileSync(join(out, '_headers'), HEADERS);
    },
  };
};
