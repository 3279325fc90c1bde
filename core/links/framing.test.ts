import { describe, expect, test } from '@jest/globals';
import { mayBeFramed } from './framing.ts';

/** How plain http pages are judged is compared with Chromium itself in e2e/framing.test.ts; here is what that cannot show. */
const allows = (policy: string, by: string, page = 'https://museum.example/tides') =>
  mayBeFramed({ contentSecurityPolicy: [policy], xFrameOptions: [] }, page, by);

describe('frame ancestors (CSP Level 3, "Does url match expression")', () => {
  test.each([
    ['frame-ancestors https://kite.example', 'https://kite.example', true],
    ['frame-ancestors https://kite.example:443', 'https://kite.example', true],
    ['frame-ancestors https://kite.example:8443', 'https://kite.example', false],
    ['frame-ancestors kite.example', 'https://kite.example', true],
    ['frame-ancestors kite.example', 'https://kite.example:8443', false],
    ['frame-ancestors http://kite.example', 'https://kite.example', true],
    ['frame-ancestors http://kite.example:80', 'https://kite.example', true],
    ['frame-ancestors *.kite.example', 'https://wren.kite.example', true],
    ['frame-ancestors *.kite.example', 'https://a.wren.kite.example', true],
    ['frame-ancestors *.kite.example', 'https://kite.example', false],
    ['frame-ancestors *.kite.example', 'https://not-kite.example', false],
    ['frame-ancestors https:', 'https://kite.example', true],
    ["frame-ancestors 'self'", 'https://museum.example', true],
    ['frame-ancestors what-is-this?', 'https://kite.example', false],
  ])('%s for %s', (policy, by, expected) => {
    expect(allows(policy, by)).toBe(expected);
  });

  test('a page without a scheme in its policy means its own: https does not allow http', () => {
    expect(allows('frame-ancestors kite.example', 'http://kite.example')).toBe(false);
    expect(allows('frame-ancestors kite.example', 'http://kite.example', 'http://museum.example')).toBe(true);
  });

  test('a page that came without encryption is never shown inside one that came with it', () => {
    expect(allows('frame-ancestors *', 'https://kite.example', 'http://museum.example/')).toBe(false);
    expect(allows('frame-ancestors *', 'http://kite.example', 'http://museum.example/')).toBe(true);
  });
});

test('what is no web address is not shown', () => {
  const open = { contentSecurityPolicy: [], xFrameOptions: [] };
  expect(mayBeFramed(open, 'javascript:alert(1)', 'https://kite.example')).toBe(false);
  expect(mayBeFramed(open, 'https://museum.example/', 'null')).toBe(false);
  expect(mayBeFramed(open, 'https://[2001:db8::1]:8443/', 'https://kite.example')).toBe(true);
});
