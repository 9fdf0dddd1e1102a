import { expect, it } from 'vitest';
import { withFreshNonce } from './freshNonce';

it('a page from the cache has a nonce of its own in every mark and in its policy, and no other rule is changed', () => {
  const policy = "default-src 'self'; style-src 'self' 'nonce-OLD='; frame-ancestors 'none'";
  const kept = new Headers({
    'content-security-policy': policy,
    'content-type': 'text/html; charset=utf-8',
    'cross-origin-embedder-policy': 'require-corp',
    'content-encoding': 'br',
    'cache-control': 'no-store',
  });
  const page =
    `<meta http-equiv="Content-Security-Policy" content="style-src 'self' 'nonce-OLD='">` +
    '<meta property="csp-nonce" nonce="OLD="><link nonce="OLD=" rel="stylesheet"><script nonce="OLD="></script>';
  const { html, headers } = withFreshNonce(page, kept, 'NEW+/=');
  expect(html.match(/nonce="NEW\+\/="/g)).toHaveLength(3);
  expect(html).not.toContain('OLD');
  expect(headers.get('content-security-policy')).toBe(policy.replace('OLD=', 'NEW+/='));
  expect(headers.get('cross-origin-embedder-policy')).toBe('require-corp');
  // The text is not packed any more.
  expect(headers.get('content-encoding')).toBeNull();
});
