import { describe, expect, test } from '@jest/globals';
import { seenBy } from '../access/seen-by.ts';
import type { Viewer } from '../access/viewer.ts';
import type { Height } from '../access/height.ts';
import fc from 'fast-check';
import { draftArbitrary } from '../access/arbitrary-draft.ts';
import { newPart } from './new-part.ts';
import type { Part } from './parts.ts';
import { preferredParts } from './preferred-parts.ts';

const portrait = (id: string, more: object, height: Height = 'public'): Part =>
  ({ ...newPart('portrait', id), ...more, height }) as Part;
const place = (exactness: string, height: Height): Part =>
  ({ ...newPart('place', `place-${exactness}`), exactness, text: `in the ${exactness}`, height }) as Part;

/** What somebody gets of a page with these parts, in a site everybody may see. */
function seen(parts: Part[], viewer: Viewer) {
  const [draft] = fc.sample(draftArbitrary, { numRuns: 1, seed: 21 });
  const [page] = draft?.pages ?? [];
  if (!draft || !page) throw new Error('no sample');
  const bare = { opening: { layout: 'words' as const, pictures: [] }, cover: { picture: null, focus: null } };
  return seenBy(
    {
      ...draft,
      site: { ...draft.site, height: 'public', look: { ...draft.site.look, ground: noGround } },
      pages: [{ ...page, ...bare, parent: null, height: 'public', archived: false, parts }],
    },
    viewer,
  );
}
const noGround = { colour: null, texture: null, picture: null };
const stranger: Viewer = { kind: 'stranger' };
const pass: Viewer = { kind: 'pass', covers: 'site', downloads: true };

describe('of what there is one of for a reader', () => {
  test('each gets the first portrait they may see, and no file of another one', () => {
    const parts = [
      portrait('part-face', { form: 'photo', material: 'material-0' }, 'invited'),
      portrait('part-apron', { form: 'photo', material: 'material-1' }),
      portrait('part-letter', { form: 'letters', letters: 'W' }),
    ];
    const [strangers, passes] = [seen(parts, stranger), seen(parts, pass)];
    expect(strangers?.pages[0]?.parts.map(({ id }) => id)).toEqual(['part-apron']);
    expect(Object.keys(strangers?.materials ?? {})).toEqual(['material-1']);
    expect(passes?.pages[0]?.parts.map(({ id }) => id)).toEqual(['part-face']);
    expect(Object.keys(passes?.materials ?? {})).toEqual(['material-0']);
  });

  test('none in front of all others is none', () => {
    const parts = [
      portrait('part-none', { form: 'none', material: 'material-1' }),
      portrait('part-apron', { form: 'photo', material: 'material-1' }),
    ];
    const view = seen(parts, stranger);
    expect(view?.pages[0]?.parts).toMatchObject([{ id: 'part-none', form: 'none', material: null }]);
    expect(view?.materials).toEqual({});
  });

  test('a place is the most exact one they may see, in whatever order they stand', () => {
    const parts = [
      place('country', 'public'),
      place('street', 'private'),
      place('region', 'public'),
      place('town', 'invited'),
    ];
    const texts = (viewer: Viewer) =>
      seen(parts, viewer)?.pages[0]?.parts.map((part) => (part.kind === 'place' ? part.text : ''));
    expect(texts(stranger)).toEqual(['in the region']);
    expect(texts(pass)).toEqual(['in the town']);
    expect(texts({ kind: 'maker' })).toEqual(['in the street']);
  });

  test('all else stays, in its order, and what nobody knows as well', () => {
    const parts = [
      newPart('quote', 'part-1'),
      portrait('part-2', {}),
      newPart('quote', 'part-3'),
      { id: 'part-4', height: 'public', kind: 'hologram' } as unknown as Part,
      portrait('part-5', {}),
    ];
    expect(preferredParts(parts).map(({ id }) => id)).toEqual(['part-1', 'part-2', 'part-3', 'part-4']);
  });
});

test('what proves a sentence is named only to those who can open it', () => {
  const answer = (proof: string) => ({ id: 'check', text: 'I write down the number.', proof });
  const telling = { ...newPart('telling', 'part-1'), half: 'work' as const };
  const [draft] = fc.sample(draftArbitrary, { numRuns: 1, seed: 21 });
  const [page] = draft?.pages ?? [];
  if (!draft || !page) throw new Error('no sample');
  const about = { ...page, parent: null, archived: false, height: 'public' as const };
  const pages = [
    { ...about, parts: [{ ...telling, answers: [answer('page-open'), answer('page-own')] } as Part] },
    { ...about, id: 'page-open', slug: 'open', parts: [] },
    { ...about, id: 'page-own', slug: 'own', height: 'invited' as const, parts: [] },
  ];
  const proofs = (viewer: Viewer) =>
    seenBy({ ...draft, site: { ...draft.site, height: 'public' }, pages }, viewer)
      ?.pages[0]?.parts.flatMap((part) => (part.kind === 'telling' ? part.answers : []))
      .map(({ proof }) => proof);
  expect(proofs(stranger)).toEqual(['page-open', null]);
  expect(proofs(pass)).toEqual(['page-open', 'page-own']);
});
