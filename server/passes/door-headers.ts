import { createHash } from 'node:crypto';
import { doorPageStyle } from '#site/render/door-page.tsx';

const styleHash = createHash('sha256').update(doorPageStyle).digest('base64');

/** Headers of the pages that are said at a door: what asks for a password, and what asks to wait. */
export const doorHeaders = {
  'content-type': 'text/html; charset=utf-8',
  'content-security-policy': `default-src 'none'; style-src 'sha256-${styleHash}'; font-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'self'`,
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'x-robots-tag': 'noindex',
  'cache-control': 'no-store',
};
