/** Stands in the built page where each answer's own nonce goes. */
export const NONCE = '__CSP_NONCE__';

const COMMON = [
  "default-src 'self'",
  "script-src 'self'",
  "worker-src 'self'",
  "img-src 'self' data: blob:",
  "font-src 'self'",
  "connect-src 'self'",
  "object-src 'none'",
  "base-uri 'none'",
  "form-action 'none'",
];
/** Only a header can say this: a page that says it of itself is not heard. */
const FRAMES = "frame-ancestors 'none'";

const withStyles = (nonce: string): readonly string[] => [...COMMON, `style-src 'self' 'nonce-${nonce}'`];

/** Everything comes from here; styles by nonce, so nothing else can be injected. */
export const pagePolicy = (nonce: string): string => [...withStyles(nonce), FRAMES].join('; ');
/** The same as it stands in the page itself: for hosts that send no header. */
export const metaPolicy = (nonce: string): string => withStyles(nonce).join('; ');
/** A worker is a document of its own: what it may reach stands with its script. It has no styles. */
export const SCRIPT_POLICY = [...COMMON, FRAMES, "style-src 'none'"].join('; ');
