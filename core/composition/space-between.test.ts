import { describe, expect, test } from '@jest/globals';
import { type Space, spaceBetween, type Spaced } from './space-between.ts';

const part = (kind: string, more: Partial<Spaced> = {}): Spaced => ({
  ...{ kind, headed: false, width: null, captioned: true },
  ...more,
});
const parts = {
  words: part('words'),
  head: part('words', { headed: true }),
  text: part('sound'),
  wide: part('compare'),
  quote: part('quote'),
  evidence: part('evidence'),
  full: part('picture', { width: 'full' }),
  band: part('reflection'),
  credits: part('credits'),
  contact: part('contact'),
};

/** As drawn on paper when the page was designed: a row is what stands above, a column what follows; in lines. */
const drawn: [keyof typeof parts | 'facts', ...Space[]][] = [
  ['words', 1, 3.5, 2, 2.5, 2, 3, 3.5, 4, 4, 2],
  ['text', 2, 3.5, 2, 2.5, 2.5, 3, 3.5, 4, 4, 2],
  ['wide', 2.5, 3.5, 2.5, 2.5, 2.5, 3, 3.5, 4, 4, 2.5],
  ['quote', 2, 3.5, 2.5, 2.5, 2.5, 3, 3.5, 4, 4, 2.5],
  ['evidence', 3, 3.5, 3, 3, 3, 2, 3.5, 4, 4, 3],
  ['full', 3.5, 3.5, 3.5, 3.5, 3.5, 3.5, 'gutter', 4, 4, 3.5],
  ['band', 4, 4, 4, 4, 4, 4, 4, 4, 4, 4],
  ['facts', 2.5, 2.5, 2.5, 2.5, 2.5, 3, 3.5, 4, 4, 2.5],
  ['credits', 2, 3.5, 2, 2.5, 2.5, 3, 3.5, 4, 4, 1.5],
];

describe('the space between two parts', () => {
  test.each(drawn)('%s', (above, ...spaces) => {
    const from = above === 'facts' ? null : parts[above];
    expect(Object.values(parts).map((below) => spaceBetween(from, below))).toEqual(spaces);
  });

  test('pictures that follow each other read as one sheet, whatever their widths', () => {
    for (const above of ['text', 'wide', 'full'] as const)
      for (const width of ['text', 'wide', 'full'] as const)
        expect(spaceBetween(part('picture', { width: above }), part('picture', { width }))).toBe('gutter');
    const picture = part('picture', { width: 'wide' });
    expect(spaceBetween(picture, part('gallery'))).toBe('gutter');
    expect(spaceBetween(picture, part('gallery', { headed: true }))).toBe(3.5);
  });

  test('a picture from edge to edge and the band below it touch, unless words stand between them', () => {
    const full = part('picture', { width: 'full', captioned: false });
    expect(spaceBetween(full, parts.band)).toBe(0);
    expect(spaceBetween({ ...full, captioned: true }, parts.band)).toBe(4);
  });
});
