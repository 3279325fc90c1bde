import { expect, test } from '@jest/globals';
import { titleInMenu } from './title-in-menu.ts';

test('a page about the maker whose title is a sentence is called by its kind; a project never is', () => {
  const title = 'I like things that still work when they are wet.';
  expect(titleInMenu({ kind: 'about', title }, 'en')).toBe('About');
  expect(titleInMenu({ kind: 'about', title }, 'de')).toBe('Über mich');
  expect(titleInMenu({ kind: 'about', title: 'About Wren' }, 'en')).toBe('About Wren');
  expect(titleInMenu({ kind: 'resume', title: '' }, 'fr')).not.toBe('');
  expect(titleInMenu({ kind: 'project', title }, 'en')).toBe(title);
});
