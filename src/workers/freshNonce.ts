/** Headers of the server that go with the page from the cache too. */
const KEPT = [
  'content-type',
  'content-security-policy',
  'cross-origin-embedder-policy',
  'cross-origin-opener-policy',
  'cross-origin-resource-policy',
  'referrer-policy',
  'x-content-type-options',
] as const;

/**
 * A page that was kept, with a new nonce in its marks and in its policy: the same is never used twice.
 * @param nonce base64
 */
export const withFreshNonce = (
  html: string,
  headers: Headers,
  nonce: string,
): { readonly html: string; readonly headers: Headers } => {
  const inPolicy = (text: string): string => text.replaceAll(/'nonce-[^']*'/g, `'nonce-${nonce}'`);
  const fresh = new Headers();
  for (const name of KEPT) {
    const value = headers.get(name);
    if (value !== null) fresh.set(name, inPolicy(value));
  }
  return { html: inPolicy(html).replaceAll(/nonce="[^"]*"/g, `nonce="${nonce}"`), headers: fresh };
};
