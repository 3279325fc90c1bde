import { expect, test } from '@jest/globals';
import { findingsOfPage } from './findings-of-page.ts';
import { picture, project, checked, gallery, good } from './sample-checked-page.ts';

test('nothing is said about a page in good order', () => {
  expect(findingsOfPage(good)).toEqual([]);
});

test('each finding has a key of its own that stays when another is mended; Needed come first', () => {
  const bare = [picture('b-picture', { alt: '' }), picture('c-picture', { alt: '' })];
  const page = project({ parts: [gallery], title: '', summary: '' });
  const before = findingsOfPage(checked(page, bare));
  expect(before.map(({ rule, weight }) => [rule, weight])).toEqual([
    ['title', 'needed'],
    ['alt', 'needed'],
    ['alt', 'needed'],
    ['title', 'nice'],
  ]);
  expect(new Set(before.map(({ key }) => key)).size).toBe(4);
  const after = findingsOfPage(checked(page, bare.slice(1)));
  expect(after.map(({ key }) => key)).toEqual(before.map(({ key }) => key).filter((_, at) => at !== 1));
});
