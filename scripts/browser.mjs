// Where Debian's Chromium is, and how it is started here.
import { existsSync } from 'node:fs';

const PLACES = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'];

/** Path of the browser, or null when it is not installed. */
export const browserPath = () => process.env.CHROMIUM ?? PLACES.find(existsSync) ?? null;

export const BROWSER_FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
