import { describe, expect, test } from '@jest/globals';
import { joinedFields } from './joined-fields.ts';

const base = { title: 'Tide clock', summary: '', facts: { role: 'Making', field: '' }, tags: ['a'] };

describe('fields two people changed', () => {
  test('what only one of them changed is taken', () =>
    expect(joinedFields({ ...base, summary: 'Theirs' }, { title: base.title }, { title: 'Mine' })).toEqual({
      change: { title: 'Mine' },
      conflicts: [],
    }));

  test('the same field is a conflict, unless both wrote the same', () => {
    const change = (theirs: string) =>
      joinedFields({ ...base, title: theirs }, { title: base.title }, { title: 'Mine' });
    expect(change('Theirs').conflicts).toEqual(['title']);
    expect(change('Mine').conflicts).toEqual([]);
  });

  test('facts are joined one by one', () => {
    const theirs = { ...base, facts: { role: 'Making', field: 'Clocks' } };
    const was = { facts: base.facts };
    expect(joinedFields(theirs, was, { facts: { role: 'Design', field: '' } })).toEqual({
      change: { facts: { role: 'Design', field: 'Clocks' } },
      conflicts: [],
    });
    expect(joinedFields(theirs, was, { facts: { role: 'Making', field: 'Tides' } }).conflicts).toEqual([
      'facts field',
    ]);
  });

  test('lists are one thing', () =>
    expect(
      joinedFields({ ...base, tags: ['a', 'b'] }, { tags: ['a'] }, { tags: ['a', 'c'] }).conflicts,
    ).toEqual(['tags']));
});
