import { expect, test } from '@jest/globals';
import { whoChanges } from './who-changes.ts';

test('it is told who gains and who loses, and when', () => {
  expect(whoChanges('public', 'public')).toBe('');
  expect(whoChanges('public', 'unlisted')).toBe('strangers lose it at once');
  expect(whoChanges('unlisted', 'invited')).toBe('whoever has a link loses it at once');
  expect(whoChanges('public', 'private')).toBe('everybody but you loses it at once');
  expect(whoChanges('private', 'public')).toBe('with the next publish everybody gains it');
  expect(whoChanges('public', 'invited')).toBe('strangers and whoever has a link lose it at once');
  expect(whoChanges('private', 'invited')).toBe('with the next publish whoever holds a pass gains it');
  expect(whoChanges('invited', 'public')).toBe(
    'with the next publish strangers and whoever has a link gain it',
  );
});
