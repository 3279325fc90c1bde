import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { frameAncestors, framingSchema, originOf } from './framing.ts';

describe('the place of what somebody wrote', () => {
  test.each([
    ['example.edu', 'https://example.edu'],
    ['https://example.edu/class/7?x=1#here', 'https://example.edu'],
    ['  HTTPS://Example.EDU:443/ ', 'https://example.edu'],
    ['http://box.school.example:8080/a', 'http://box.school.example:8080'],
    ['bücher.example', 'https://xn--bcher-kva.example'],
    ['user:word@example.edu', 'https://example.edu'],
  ])('%s is of %s', (written, origin) => {
    expect(originOf(written)).toBe(origin);
  });

  test.each([
    '',
    '*',
    'https://*.example.edu',
    'two words',
    'javascript:alert(1)',
    'file:///etc/passwd',
    "'self'",
    'https://',
    'data:text/html,x',
    'https://[::1]/',
  ])('%s names none', (written) => {
    expect(originOf(written)).toBeNull();
  });

  test('whatever is taken is one source of a policy and adds nothing to it', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.webUrl(), fc.string({ unit: 'grapheme' })), (written) => {
        const origin = originOf(written);
        if (origin === null) return;
        expect(framingSchema.safeParse({ by: 'named', origins: [origin] }).success).toBe(true);
        expect(frameAncestors({ by: 'named', origins: [origin] })).toMatch(
          /^'self' https?:\/\/[a-z0-9.:-]+$/,
        );
      }),
    );
  });

  test('what is no plain origin is refused', () => {
    for (const origin of ['https://example.edu/', 'example.edu', 'https://a.example; script-src *', '*'])
      expect(framingSchema.safeParse({ by: 'named', origins: [origin] }).success).toBe(false);
    expect(framingSchema.safeParse({ by: 'named', origins: [] }).success).toBe(false);
  });
});

test('who may frame', () => {
  expect(frameAncestors({ by: 'nobody' })).toBe("'self'");
  expect(frameAncestors({ by: 'anybody' })).toBe("'self' *");
});
