import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mixedDraftArbitrary } from '../access/arbitrary-draft.ts';
import { heightsOf } from '../access/heights-of.ts';
import { seenBy } from '../access/seen-by.ts';
import { isWork, type Page } from '../pages/page.ts';
import { tagPath, tagsOf } from './tags-of.ts';

const tagged = fc.constantFrom<string[]>([], ['Clock'], ['clock', 'harbour'], ['時計'], ['C++', 'C#']);

describe('tags of a view', () => {
  test('name only what its reader may open, and no tag that stands nowhere else', () => {
    fc.assert(
      fc.property(mixedDraftArbitrary, fc.infiniteStream(tagged), (draft, tags) => {
        const pages = draft.pages.map((page): Page =>
          isWork(page) ? { ...page, facts: { ...page.facts, tags: tags.next().value } } : page,
        );
        const view = seenBy({ ...draft, pages }, { kind: 'stranger' });
        if (!view) return;
        const { pages: heights } = heightsOf({ ...draft, pages });
        const open = pages.filter(({ id }) => heights.get(id) === 'public');
        for (const { name, work } of tagsOf(view)) {
          expect(work.length).toBeGreaterThan(0);
          for (const { id } of work) expect(heights.get(id)).toBe('public');
          expect(open.some((page) => isWork(page) && page.facts.tags.includes(name))).toBe(true);
        }
      }),
    );
  });

  test('have an address in any script, the same for the same word in whatever case', () => {
    expect(tagPath('Harbour')).toBe('tagged/harbour/');
    expect(tagPath('HARBOUR')).toBe(tagPath('harbour'));
    expect(tagPath('Straße')).toBe('tagged/strasse/');
    expect(tagPath('時計')).toBe('tagged/t-6642-8a08/');
    fc.assert(
      fc.property(fc.string({ minLength: 1, maxLength: 40 }), (tag) => {
        expect(tagPath(tag)).toMatch(/^tagged\/[a-z0-9]+(-[a-z0-9]+)*\/$/);
      }),
    );
  });
});
