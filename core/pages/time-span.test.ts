import { describe, expect, test } from '@jest/globals';
import { timeSpan } from './time-span.ts';

describe('how long something took, in words', () => {
  test.each([
    ['2025-09', '2025-12', 'September to December 2025'],
    ['2025-11', '2026-03', 'November 2025 to March 2026'],
    ['2025-09', null, 'September 2025'],
    ['2025-09', '2025-09', 'September 2025'],
    ['2024', '2025', '2024 to 2025'],
    ['2024', '2025-03', '2024 to March 2025'],
    ['2026-03', 'now', 'since March 2026'],
    ['2024', 'now', 'since 2024'],
    // Only the year of the end is known, and it is the year it began in.
    ['2025-09', '2025', 'September 2025'],
    // The last before the first: the first is what can be trusted.
    ['2025-09', '2025-01', 'September 2025'],
    [null, '2025-12', 'December 2025'],
    [null, 'now', ''],
    [null, null, ''],
  ] as const)('%s to %s is "%s"', (from, to, words) => expect(timeSpan(from, to)).toBe(words));
});
