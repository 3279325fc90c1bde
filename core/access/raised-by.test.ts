import { describe, expect, test } from '@jest/globals';
import type { Height } from './height.ts';
import type { DraftHeights, PageHeights } from './heights-of.ts';
import { newPart } from '../parts/new-part.ts';
import type { Part, PartOf } from '../parts/parts.ts';
import { raisedBy } from './raised-by.ts';

const words = (id: string, height: Height): Part => ({ ...newPart('words', id), height });
const page = (id: string, height: Height, more: Partial<PageHeights> = {}): PageHeights => ({
  id,
  parent: null,
  height,
  archived: false,
  parts: [words(`${id}-part`, 'public')],
  ...more,
});
const site = (height: Height, ...pages: PageHeights[]): DraftHeights => ({
  site: { id: 'site', height, underAge: false },
  pages,
});

describe('raisedBy', () => {
  test('nothing where nothing changed, was lowered, or came anew', () => {
    const open = site('public', page('a', 'public'));
    expect(raisedBy(open, open)).toEqual([]);
    expect(raisedBy(open, site('private', page('a', 'public')))).toEqual([]);
    expect(raisedBy(open, site('public', page('a', 'unlisted')))).toEqual([]);
    expect(raisedBy(open, site('public', page('a', 'public'), page('b', 'public')))).toEqual([]);
    expect(raisedBy(site('public'), open)).toEqual([]);
  });

  test('the site alone, when it is the site', () => {
    expect(raisedBy(site('private', page('a', 'public')), site('unlisted', page('a', 'public')))).toEqual([
      { kind: 'site', page: null, height: 'unlisted' },
    ]);
  });

  test('the outermost page, with the height it would really have', () => {
    const shut = site('unlisted', page('a', 'private'), page('b', 'public', { parent: 'a' }));
    const open = site('unlisted', page('a', 'public'), page('b', 'public', { parent: 'a' }));
    expect(raisedBy(shut, open)).toEqual([{ kind: 'page', page: 'a', height: 'unlisted' }]);
  });

  test('a page by itself below one that stays as it was', () => {
    const inside = (height: Height) =>
      site('public', page('a', 'public'), page('b', height, { parent: 'a' }));
    expect(raisedBy(inside('private'), inside('unlisted'))).toEqual([
      { kind: 'page', page: 'b', height: 'unlisted' },
    ]);
  });

  test('nobody gets more where the site or a parent holds it down', () => {
    expect(raisedBy(site('private', page('a', 'private')), site('private', page('a', 'public')))).toEqual([]);
    const held = (height: Height) => site('public', page('a', 'private'), page('b', height, { parent: 'a' }));
    expect(raisedBy(held('private'), held('public'))).toEqual([]);
  });

  test('a page hung up again, and one that is moved out of a Private one', () => {
    expect(
      raisedBy(site('public', page('a', 'public', { archived: true })), site('public', page('a', 'public'))),
    ).toEqual([{ kind: 'page', page: 'a', height: 'public' }]);
    const inside = site('public', page('a', 'private'), page('b', 'public', { parent: 'a' }));
    const outside = site('public', page('a', 'private'), page('b', 'public'));
    expect(raisedBy(inside, outside)).toEqual([{ kind: 'page', page: 'b', height: 'public' }]);
  });

  test('a part by itself, and one that is moved to a higher page; not one that rises with its page', () => {
    const part = (height: Height) => page('a', 'public', { parts: [words('x', height)] });
    expect(raisedBy(site('public', part('private')), site('public', part('invited')))).toEqual([
      { kind: 'part', page: 'a', height: 'invited' },
    ]);
    const low = site('public', page('a', 'private', { parts: [words('x', 'public')] }), page('b', 'public'));
    const moved = site(
      'public',
      page('a', 'private', { parts: [] }),
      page('b', 'public', {
        parts: [words('b-part', 'public'), words('x', 'public')],
      }),
    );
    expect(raisedBy(low, moved)).toEqual([{ kind: 'part', page: 'b', height: 'public' }]);
  });

  test('what a part holds: by itself where it alone was raised, and not where it rises with its part', () => {
    const table = (height: Height, column: Height): Part => ({
      ...(newPart('table', 'table') as PartOf<'table'>),
      height,
      columns: [{ id: 'column', name: '', height: column, sum: false }],
    });
    const showing = (part: Part) => site('public', page('a', 'public', { parts: [part] }));
    const part = (height: Height) => ({ kind: 'part', page: 'a', height });
    expect(raisedBy(showing(table('public', 'private')), showing(table('public', 'unlisted')))).toEqual([
      part('unlisted'),
    ]);
    expect(raisedBy(showing(table('private', 'public')), showing(table('public', 'public')))).toEqual([
      part('public'),
    ]);
    // Held down by its part, a column opens to nobody by being raised.
    expect(raisedBy(showing(table('private', 'private')), showing(table('private', 'public')))).toEqual([]);
  });
});
