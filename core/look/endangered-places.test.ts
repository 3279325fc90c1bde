import { describe, expect, test } from '@jest/globals';
import { newPart } from '../parts/new-part.ts';
import { endangeredPlaces, type PageOfPictures } from './endangered-places.ts';
import { lightMapSize, lightMapText } from './light-map.ts';
import { asTheThemeComes } from './look.ts';

const cells = lightMapSize ** 2;
const grey = (value: number) => {
  const all = new Uint8Array(cells).fill(value);
  return lightMapText({ columns: lightMapSize, rows: lightMapSize, lightest: all, darkest: all });
};
const pictures: Record<string, number> = { black: 0, middle: 118, white: 255 };
const pictureOf = (id: string) => {
  const value = pictures[id];
  const size = { widthPx: 1600, heightPx: 1000, focus: { x: 0.5, y: 0.5 } };
  if (id === 'unread') return size;
  return value === undefined ? null : { ...size, light: grey(value) };
};
const page = (id: string, opening: string[], change: Partial<PageOfPictures> = {}): PageOfPictures => ({
  ...{ id, kind: 'project', title: 'Tide clock', summary: '', parent: null, parts: [] },
  cover: { picture: null, focus: null },
  opening: { layout: 'full', pictures: opening },
  ...change,
});
const choice = {
  look: { theme: 'broadsheet' as const, ...asTheThemeComes },
  labels: 'below' as const,
  openingsOver: true,
};
const names = (places: ReturnType<typeof endangeredPlaces>) =>
  places.map((one) => `${one.page} ${one.where}`);

describe('where words over pictures are hardest to read', () => {
  test('a grey of the middle comes first: neither light nor dark words stand out from it', () => {
    const pages = [page('a', ['black']), page('b', ['middle']), page('c', ['white'])];
    const places = endangeredPlaces(pages, choice, pictureOf);
    expect(places[0]).toMatchObject({ page: 'b', where: 'opening' });
    expect(names(places).slice(1).sort()).toEqual(['a opening', 'c opening']);
    for (const { through, needs } of places) expect(through).toBeGreaterThanOrEqual(needs);
  });

  test('names over covers are among them where they lie there, over the picture a card really shows', () => {
    const inPart = newPart('gallery', 'g', ['middle']);
    const pages = [
      page('chosen', ['white'], { cover: { picture: 'middle', focus: null } }),
      page('of-opening', ['black']),
      page('of-part', [], { opening: { layout: 'words', pictures: [] }, parts: [inPart] }),
      page('plain', ['middle'], { kind: 'plain', opening: { layout: 'strip', pictures: ['middle'] } }),
    ];
    const none = endangeredPlaces(pages, { ...choice, openingsOver: false }, pictureOf);
    expect(none).toEqual([]);
    const over = endangeredPlaces(pages, { ...choice, labels: 'over', openingsOver: false }, pictureOf);
    expect(names(over).sort()).toEqual(['chosen wall', 'of-opening wall', 'of-part wall']);
    expect(names(over).slice(0, 2).sort()).toEqual(['chosen wall', 'of-part wall']);
  });

  test('a picture nobody has read yet, and one that is none, are not among them', () => {
    const pages = [page('a', ['unread']), page('b', ['sound'])];
    expect(endangeredPlaces(pages, { ...choice, labels: 'over' }, pictureOf)).toEqual([]);
  });
});
