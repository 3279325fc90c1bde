import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { z } from 'zod';
import { mixedDraftArbitrary } from '../access/arbitrary-draft.ts';
import type { Draft } from '../sites/site.ts';
import { fromStored, stored, type StoredKind } from './stored-json.ts';
import { pageFromStored, storedPart, storedSite } from './stored-kinds.ts';

/** As a database gives it back. */
const kept = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/** A thing whose shape changed twice: its name was split, then a colour came. */
const schema = z.object({ first: z.string(), last: z.string(), colour: z.string() });
const thing: StoredKind<z.infer<typeof schema>> = {
  schema,
  upgrades: [
    ({ name, ...rest }) => {
      const [first, last] = String(name).split(' ');
      return { ...rest, first, last };
    },
    (before) => ({ colour: 'paper', ...before }),
  ],
};
const [{ site: mixedSite }] = fc.sample(mixedDraftArbitrary, { seed: 5, numRuns: 1 }) as [Draft];
const now = { first: 'Wren', last: 'Vos', colour: 'ink' };

describe('stored JSON', () => {
  test('of every version is read as what things are now', () => {
    expect(fromStored(thing, { name: 'Wren Vos' })).toEqual({ ...now, colour: 'paper' });
    expect(fromStored(thing, { v: 1, first: 'Wren', last: 'Vos' })).toEqual({ ...now, colour: 'paper' });
    expect(stored(thing, now)).toEqual({ ...now, v: 2 });
    expect(fromStored(thing, kept(stored(thing, now)))).toEqual(now);
  });

  test('of a newer version, or damaged, is refused in a sentence and not guessed at', () => {
    expect(() => fromStored(thing, { ...now, v: 3 })).toThrow('A newer version of Kite Wall kept this.');
    expect(() => fromStored(thing, { ...now, v: '2' })).toThrow('A newer version');
    expect(() => fromStored(thing, { ...now, v: 2, colour: 7 })).toThrow('cannot be read: colour:');
    expect(() => fromStored(thing, null)).toThrow('cannot be read');
  });

  test('of a site, where its look was the name of its theme, gets a look', () => {
    const { look: worn, ...site } = mixedSite;
    const look = { ...worn, ground: { ...worn.ground, picture: null } };
    for (const before of [
      { ...site, theme: 'broadsheet' },
      { ...site, theme: 'broadsheet', v: 1 },
    ])
      expect(fromStored(storedSite, before)).toEqual({ ...site, look });
    expect(() => fromStored(storedSite, { ...site, theme: 'another', v: 1 })).toThrow('cannot be read: look');
  });

  test('of a site and a part with an e-mail address for readers has a form, and the address nowhere', () => {
    const site = (contact: string) => fromStored(storedSite, { ...mixedSite, contact, v: 7 }).contact;
    expect(['wren@demo.example', 'https://wren.example/@wren', ''].map(site)).toEqual([
      'form',
      'https://wren.example/@wren',
      '',
    ]);
    const part = (email: string) =>
      fromStored(storedPart, {
        id: 'part-one',
        height: 'public',
        kind: 'contact',
        words: 'Hi',
        email,
        link: '',
        v: 1,
      });
    expect(part('wren@demo.example')).toEqual({
      ...{ id: 'part-one', height: 'public', kind: 'contact', words: 'Hi', link: '' },
      ...{ form: true, card: false },
    });
    expect(part('')).toMatchObject({ form: false });
  });

  test('of before loses what its kind has no more, and gets what came since', () => {
    const common = {
      ...{ id: 'page-home', kind: 'home', parent: null, rank: 'a0', slug: 'home', title: '' },
      ...{ height: 'public', summary: 'Things that float.', parts: [] },
    };
    expect(pageFromStored({ ...common, facts: { role: 'Making' } })).toEqual({
      ...common,
      archived: false,
      inMenu: null,
      language: null,
      opening: { layout: 'words', pictures: [] },
      cover: { picture: null, focus: null },
    });
  });
});
