import { describe, expect, test } from '@jest/globals';
import { pagePolicy } from './page-policy.ts';

/** Directives of a policy by name, as CSP Level 3, 2.2.1, parses a serialised one. */
const parse = (policy: string): Map<string, string[]> =>
  new Map(
    policy.split(';').map((directive): [string, string[]] => {
      const [name = '', ...values] = directive.trim().split(/\s+/);
      return [name, values];
    }),
  );

describe('the policy of a public page', () => {
  test('allows this server’s own files and nothing else', () => {
    const policy = parse(pagePolicy({}));
    expect(policy.get('default-src')).toEqual(["'none'"]);
    for (const [name, values] of policy)
      if (name !== 'default-src') expect([["'self'"], ["'none'"]]).toContainEqual(values);
    expect(policy.has('frame-src')).toBe(false);
    expect(policy.has('connect-src')).toBe(false);
    expect(JSON.stringify([...policy])).not.toMatch(/unsafe|\*|https?:|data:/);
  });

  test('names the page’s one style element, and frames only where there are some', () => {
    const policy = parse(
      pagePolicy({ styleHash: 'abc=', frames: ['https://a.example', 'http://b.example:81'] }),
    );
    expect(policy.get('style-src')).toEqual(["'self'", "'sha256-abc='"]);
    expect(policy.get('frame-src')).toEqual(['https://a.example', 'http://b.example:81']);
    expect(policy.get('script-src')).toEqual(["'self'"]);
  });

  test('of all a script could ask for, the robots file alone is allowed, on pages that engines may find', () => {
    const policy = parse(pagePolicy({ robots: 'https://wall.example/robots.txt' }));
    expect(policy.get('connect-src')).toEqual(['https://wall.example/robots.txt']);
  });
});
