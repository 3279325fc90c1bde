import { describe, expect, test } from '@jest/globals';
import { newPart } from '../parts/new-part.ts';
import { noCover } from './cover.ts';
import { suggestedMonths } from './suggested-months.ts';

const dated = (id: string, takenOn: string | null, project: string | null = null) =>
  [id, { id, takenOn, project }] as const;
const page = {
  id: 'page-1',
  cover: noCover,
  opening: { layout: 'words' as const, pictures: ['a'] },
  parts: [newPart('gallery', 'part-1', ['b', 'c'])],
};

describe('from when to when, as the pictures say', () => {
  test('first and last month of what stands there or was gathered for it', () => {
    const materials = new Map([
      dated('a', '2025-11-13T10:04:00'),
      dated('b', '2025-09-30'),
      dated('c', '2025-10'),
      dated('d', '2026-01-02', 'page-1'),
      dated('e', '2019-01-01'),
    ]);
    expect(suggestedMonths(page, materials)).toEqual({ from: '2025-09', to: '2026-01' });
  });

  test('one month has no end, a year is not exact enough, and nothing dated suggests nothing', () => {
    expect(suggestedMonths(page, new Map([dated('a', '2025-11-13'), dated('b', '2024')]))).toEqual({
      from: '2025-11',
      to: null,
    });
    expect(suggestedMonths(page, new Map([dated('a', null), dated('b', '2024')]))).toBeNull();
  });
});
