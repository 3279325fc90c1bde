import { describe, expect, test } from '@jest/globals';
import { emptyContents, nothingShown, pageContents } from './page-contents.ts';
import { pageKinds, rulesOfPage } from './page-kinds.ts';
import { factsOf, hasField, isShown, isWork, type Page, pageSchema, shownOn } from './page.ts';

const page = (kind: (typeof pageKinds)[number], more: object = {}): Page =>
  pageSchema.parse({
    ...{
      id: 'page-1',
      parent: null,
      rank: 'a1',
      slug: 'a-page',
      title: '',
      archived: false,
      inMenu: null,
      language: null,
    },
    ...{ height: 'public', kind, ...emptyContents[kind], ...more },
  });

describe('pages of every kind', () => {
  test.each(pageKinds)('%s begins as a page of its kind, with its own fields and no others', (kind) => {
    const made = page(kind, { facts: undefined, ...emptyContents[kind], nonsense: 1 });
    for (const field of ['summary', 'parts', 'facts', 'leadsTo'])
      expect([field, field in made]).toEqual([field, Object.hasOwn(pageContents[kind], field)]);
    expect(made).not.toHaveProperty('nonsense');
    expect(isShown(made)).toBe(rulesOfPage({ kind }).opens);
    expect(isWork(made)).toBe(rulesOfPage({ kind }).isWork);
    expect(hasField({ kind }, 'title')).toBe(true);
    expect(hasField({ kind }, 'kind')).toBe(false);
    expect(hasField({ kind }, 'parts')).toBe(isShown(made));
    if (!isShown(made)) expect(shownOn(made)).toBe(nothingShown);
  });

  test('only a project has case facts; an outside link leads to a web address and nowhere else', () => {
    const role = { ...factsOf(page('project')), role: 'Making' };
    expect(factsOf(page('project', { facts: role })).role).toBe('Making');
    expect(factsOf(page('about')).role).toBe('');
    expect(page('link', { leadsTo: 'https://boats.example/' })).toMatchObject({
      leadsTo: 'https://boats.example/',
    });
    expect(() => page('link', { leadsTo: 'javascript:alert(1)' })).toThrow('This is no web address.');
    expect(() => page('project', { facts: undefined })).toThrow();
  });
});
