import { describe, expect, test } from '@jest/globals';
import { createHash } from 'node:crypto';
import fc from 'fast-check';
import { draftArbitrary } from '../access/arbitrary-draft.ts';
import { seenBy } from '../access/seen-by.ts';
import { fairOrder } from './fair-order.ts';
import { countedIn, findListings } from './find-listings.ts';
import { type Listing, listingOf } from './listing.ts';

const hash = (text: string) => createHash('sha256').update(text).digest('hex');
const listing = (more: Partial<Listing>): Listing => ({
  title: '',
  by: '',
  fields: [],
  tags: [],
  work: [],
  ...more,
});
const all = [
  listing({
    title: 'Wren makes',
    by: 'Wren Ode',
    fields: ['Product design'],
    tags: ['clock', 'Wood'],
    work: ['Tide clock'],
  }),
  listing({ title: 'Idris', fields: ['Architecture'], tags: ['wood'], work: ['Boat house'] }),
  listing({ title: 'Zoë Łaska', fields: ['product design'], tags: [], work: [] }),
];
const found = (search: Partial<Parameters<typeof findListings>[1]>) =>
  findListings(all, { words: '', field: '', tag: '', ...search }).map(({ title }) => title);

describe('looking for a site', () => {
  test('goes by field, by tag and by the beginnings of words, in any case and without accents', () => {
    expect(found({})).toHaveLength(3);
    expect(found({ field: 'Product Design' })).toEqual(['Wren makes', 'Zoë Łaska']);
    expect(found({ tag: 'WOOD' })).toEqual(['Wren makes', 'Idris']);
    expect(found({ words: 'zoe' })).toEqual(['Zoë Łaska']);
    expect(found({ words: 'tide clo' })).toEqual(['Wren makes']);
    expect(found({ words: 'clock boat' })).toEqual([]);
    expect(found({ words: 'lock' })).toEqual([]);
    expect(found({ words: 'wood', field: 'architecture' })).toEqual(['Idris']);
    expect(found({ words: '  ' })).toHaveLength(3);
    expect(found({ words: '.*(' })).toEqual([]);
  });

  test('fields and tags are told with how many have them', () => {
    expect(countedIn(all, 'fields', 5)).toEqual([
      { name: 'Product design', sites: 2 },
      { name: 'Architecture', sites: 1 },
    ]);
    expect(countedIn(all, 'tags', 1)).toEqual([{ name: 'Wood', sites: 2 }]);
  });
});

test('a list says nothing of a site that strangers cannot see', () => {
  fc.assert(
    fc.property(draftArbitrary, (draft) => {
      const view = seenBy(draft, { kind: 'stranger' });
      if (!view) return;
      const { work, tags, fields } = listingOf(view);
      const pages = view.pages.map(({ title }) => title);
      expect(work.filter((title) => !pages.includes(title))).toEqual([]);
      const seen = JSON.stringify(view);
      for (const word of [...tags, ...fields])
        expect(seen.includes(JSON.stringify(word).slice(1, -1))).toBe(true);
    }),
  );
});

describe('the order', () => {
  const ids = (count: number) => Array.from({ length: count }, (_, at) => ({ id: `site-${at}` }));

  test('is the same all day, another one on another day, and loses nobody', () => {
    const day = fairOrder(ids(40), '2026-11-28', hash);
    expect(fairOrder([...ids(40)].reverse(), '2026-11-28', hash)).toEqual(day);
    expect(fairOrder(ids(40), '2026-11-29', hash)).not.toEqual(day);
    expect([...day].sort((a, b) => a.id.localeCompare(b.id))).toEqual(
      [...ids(40)].sort((a, b) => a.id.localeCompare(b.id)),
    );
  });

  test('gives each the first place about equally often: chi-squared over 2,000 days, 9 degrees of freedom', () => {
    const firsts = new Map<string, number>();
    for (let day = 0; day < 2000; day++) {
      const [first] = fairOrder(ids(10), new Date(day * 86_400_000).toISOString().slice(0, 10), hash);
      if (first) firsts.set(first.id, (firsts.get(first.id) ?? 0) + 1);
    }
    const chi = ids(10).reduce((sum, { id }) => sum + ((firsts.get(id) ?? 0) - 200) ** 2 / 200, 0);
    // The upper 0.1 % of the distribution, from a printed table (from memory: 27.88). The days are the same in every run.
    expect(chi).toBeLessThan(27.88);
  });
});
