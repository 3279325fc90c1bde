import { expect, test } from '@jest/globals';
import { asTheThemeComes, firstLook } from './look.ts';
import { themeChange } from './theme-change.ts';

const site = { look: firstLook, menu: 'line', wall: 'rows' } as const;

test('what was as the old theme has it is as the new one has it', () => {
  expect(themeChange(site, 'chalkline')).toEqual({
    look: { theme: 'chalkline', ...asTheThemeComes },
    menu: 'side',
    wall: 'list',
  });
});

test('what was chosen stays', () => {
  const look = { ...firstLook, seeds: { first: '#3c6e71', second: null }, textSize: 1.1 };
  expect(themeChange({ look, menu: 'word', wall: 'groups' }, 'signal')).toEqual({
    look: { ...look, theme: 'signal' },
  });
});

test('there and back is as it was', () => {
  expect({ ...site, ...themeChange({ ...site, ...themeChange(site, 'overprint') }, 'broadsheet') }).toEqual(
    site,
  );
});
