import { describe, expect, test } from '@jest/globals';
import { pageKinds, pageName, rulesOfPage } from './page-kinds.ts';

describe('kinds of page', () => {
  test.each(pageKinds)('%s is called something, with a title and without one', (kind) => {
    for (const title of ['', '  ', 'Tide clock']) expect(pageName({ kind, title })).toMatch(/\S/);
    expect(rulesOfPage({ kind }).name).toMatch(/^[A-Z]/);
  });

  test('a page is called by its title; the front page always the same, since its title is a sentence for readers', () => {
    expect(pageName({ kind: 'project', title: 'Tide clock' })).toBe('Tide clock');
    expect(pageName({ kind: 'project', title: '' })).toBe('Untitled project');
    expect(pageName({ kind: 'home', title: 'I make things that float.' })).toBe('Front page');
  });

  test('there is one way in, work has facts and opens, and what has no name stands in no menu', () => {
    const all = pageKinds.map((kind) => rulesOfPage({ kind }));
    expect(all.filter(({ isFront }) => isFront)).toHaveLength(1);
    for (const rules of all) {
      if (rules.isWork) expect([rules.opens, rules.inMenu(' ')]).toEqual([true, null]);
      if (!rules.opens) expect([rules.isWork, rules.inMenu(' ')]).toEqual([false, null]);
    }
  });

  test('a kind that a newer version knows opens for nobody', () => {
    expect(rulesOfPage({ kind: 'shop' })).toMatchObject({ opens: false, isWork: false, isFront: false });
    expect(rulesOfPage({ kind: 'shop' }).inMenu('Shop')).toBeNull();
    expect(rulesOfPage({ kind: 'toString' }).opens).toBe(false);
    expect(pageName({ kind: 'shop', title: '' })).toBe('Unknown page');
  });
});
