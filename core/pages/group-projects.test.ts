import { describe, expect, test } from '@jest/globals';
import { type CaseFacts, noFacts } from './case-facts.ts';
import { groupProjects } from './group-projects.ts';

const project = (id: string, facts: Partial<CaseFacts>) => ({ id, facts: { ...noFacts, ...facts } });
const all = [
  project('a', { from: '2024-11', to: '2025-02', course: 'wood' }),
  project('b', {}),
  project('c', { from: '2026', to: 'now', course: 'Metal' }),
  project('d', { from: '2025-03', course: ' wood ' }),
];
const told = (by: 'none' | 'year' | 'course') =>
  groupProjects(all, by).map(({ name, projects }) => [name, projects.map(({ id }) => id).join('')]);

describe('projects in groups', () => {
  test('all in one', () => expect(told('none')).toEqual([['', 'abcd']]));
  test('by the year they were finished in, the latest first, those without one last', () =>
    expect(told('year')).toEqual([
      ['2026', 'c'],
      ['2025', 'ad'],
      ['', 'b'],
    ]));
  test('by course, by the alphabet whatever the case', () =>
    expect(told('course')).toEqual([
      ['Metal', 'c'],
      ['wood', 'ad'],
      ['', 'b'],
    ]));
  test('none of none', () => expect(groupProjects([], 'none')).toEqual([]));
});
