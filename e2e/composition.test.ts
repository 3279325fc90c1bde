import { afterAll, describe, expect, test } from '@jest/globals';
import type { Driver } from './support/studio-driver.ts';
import { changePage, draftOf } from './support/change-draft.ts';
import { openDemoStudio } from './support/demo-studio.ts';
import { fits } from './support/fits.ts';

/** A long page of every kind of part, measured against the grid as it was drawn on paper. */
const { studio, publish, asStranger, close } = await openDemoStudio();
afterAll(close);

/** As drawn: the edge left of the first line, the gutter, a quarter and a line, at four widths of window; in pixels. */
const drawn = {
  390: { edge: 19, gutter: 16, quarter: 76, line: 20 },
  820: { edge: 36, gutter: 19, quarter: 173, line: 22.2 },
  1280: { edge: 54, gutter: 25, quarter: 274, line: 25.5 },
  1680: { edge: 168, gutter: 30, quarter: 314, line: 28.4 },
} as const;

/** The parts of the long page in order, with the lines above each that the paper gives it; `g`: one gutter. */
const order: [kind: string, space: number | 'g'][] = [
  ['words headed', 2.5],
  ['words', 1],
  ['picture text', 2],
  ['words', 2],
  ['quote', 2],
  ['picture wide', 2.5],
  ['gallery grid', 'g'],
  ['gallery columns', 2.5],
  ['gallery rows headed', 3.5],
  ['pair', 2.5],
  ['evidence', 3],
  ['evidence', 2],
  ['document', 3.5],
  ['sound', 2.5],
  ['clip', 2.5],
  ['link', 2.5],
  ['table headed', 3.5],
  ['compare', 2.5],
  ['picture full', 3.5],
  ['reflection', 4],
  ['credits', 4],
  ['contact', 1.5],
];

/** Puts a page together from what the demo's own pages show, by the studio's interface, in the browser that is signed in. */
async function longPage(kinds: readonly string[]): Promise<void> {
  const site = /studio\/([^/]+)/.exec(studio.page.url())?.[1] ?? '';
  interface Part {
    id: string;
    kind: string;
    [field: string]: unknown;
  }
  const draft = await draftOf(studio.page, site);
  const page = draft.pages.find(({ title }) => title === 'Float lamp');
  const all = draft.pages.flatMap((one): Part[] => ('parts' in one ? one.parts : []));
  const pictures = draft.materials.filter(({ kind, caption }) => kind === 'picture' && caption !== '');
  const words = (heading: string) => ({
    kind: 'words',
    text: {
      type: 'doc',
      content: [
        ...(heading
          ? [{ type: 'heading', attrs: { level: 2 }, content: [{ type: 'text', text: heading }] }]
          : []),
        {
          type: 'paragraph',
          content: [
            { type: 'text', text: 'The slip is under water for five hours of every twelve. '.repeat(6) },
          ],
        },
      ],
    },
  });
  const parts: Part[] = [];
  kinds.forEach((what, at) => {
    const [kind = '', ...how] = what.split(' ');
    const own = { id: `part-${at}`, height: 'public' };
    const picture = pictures[at]?.id;
    const headed = how.includes('headed');
    if (kind === 'words') parts.push({ ...own, ...words(headed ? 'A heading' : '') });
    else if (kind === 'picture') parts.push({ ...own, kind, material: picture, width: how[0], link: '' });
    else if (kind === 'gallery')
      parts.push({
        ...{ ...own, kind, title: headed ? 'Pictures' : '', layout: how[0], captions: 'below' },
        pictures: pictures.slice(0, 6).map((one) => one.id),
      });
    else if (kind === 'pair')
      parts.push(
        { ...own, kind: 'picture', material: picture, width: 'wide', link: '' },
        { ...own, ...words(''), id: `part-${at}-b`, beside: { with: `part-${at}`, share: 0.5 } },
      );
    else {
      const found = all.find((part) => part.kind === kind);
      if (!found) throw new Error(`The demo has no ${kind}.`);
      // On the page itself, wherever it was found.
      const { ground: _, ...plain } = found;
      parts.push({ ...plain, id: `part-${at}`, height: 'public' });
    }
  });
  await changePage(studio.page, site, page?.id ?? '', { parts });
}

const measured = ({ page }: Driver) =>
  page.evaluate(() => {
    const places = [...document.querySelectorAll<HTMLElement>('.place')].map((place) => {
      const { top, bottom } = place.getBoundingClientRect();
      return { top, bottom };
    });
    const facts = document.querySelector('.facts-band')?.getBoundingClientRect();
    const boxes = [...document.querySelectorAll<HTMLElement>('.on-grid > *')]
      .filter((box) => !box.matches('.half, .edge') && box.offsetHeight > 0 && !box.closest('.say-over'))
      .map((box) => ({
        of: `${box.parentElement?.className ?? ''} > ${box.localName}.${box.className}`,
        left: box.getBoundingClientRect().left,
      }));
    const shown = [
      ...document.querySelectorAll<HTMLElement>('.place :is(img, video, .rows-and-columns > .table)'),
    ]
      .filter(
        (box) => !box.closest('.rows, .columns, .even-grid, .strip-of-large, .pages, .link-card, .framed'),
      )
      .map((box) => {
        const { left, right, width, height } = box.getBoundingClientRect();
        const img = box instanceof HTMLImageElement ? box : null;
        return {
          of: `${box.closest('.on-grid')?.className ?? ''} ${box.localName}`,
          ...{ left, right },
          ratio: img && { shown: width / height, own: img.naturalWidth / img.naturalHeight },
        };
      });
    const galleries = [
      ...document.querySelectorAll<HTMLElement>('.gallery :is(.even-grid, .columns, .rows)'),
    ].map((one) => {
      const all = [...one.querySelectorAll('img')].map((img) => img.getBoundingClientRect());
      return { left: Math.min(...all.map((r) => r.left)), right: Math.max(...all.map((r) => r.right)) };
    });
    return { places, facts: facts?.bottom ?? 0, boxes, shown, galleries };
  });

describe('the composition of a case page', () => {
  test('every part stands on the lines of one grid, at the distances the paper gives it', async () => {
    await longPage(order.map(([kind]) => kind));
    await studio.page.reload();
    await studio.reads('Float lamp');
    await publish();
    const reader = await asStranger('/wren-makes/for-the-harbour/float-lamp/');
    for (const width of [390, 820, 1280, 1680] as const) {
      const { edge, gutter, quarter, line } = drawn[width];
      await reader.page.setViewport({ width, height: 900 });
      await reader.page.evaluate(async () => {
        for (const img of document.images) img.loading = 'eager';
        await Promise.all([...document.images].map((img) => img.decode().catch(() => null)));
      });
      const { places, facts, boxes, shown, galleries } = await measured(reader);
      // The paper says whole pixels of a quarter and a gutter; three of each add up to as much.
      const near = (one: number, other: number) => Math.abs(one - other) <= 2.2;
      const starts = [0, 1, 2, 3].map((at) => edge + at * (quarter + gutter));
      const ends = [1, 2, 3, 4].map((at) => edge + at * (quarter + gutter) - gutter);

      // Distances: of each part to what is above it.
      expect(places).toHaveLength(order.length);
      const gaps = places.map(({ top }, at) => top - (at === 0 ? facts : (places[at - 1]?.bottom ?? 0)));
      const wanted = order.map(([, space]) => (space === 'g' ? gutter : space * line));
      expect([
        width,
        gaps.map((gap, at) =>
          near(gap, wanted[at] ?? 0) ? 'fine' : `${order[at]?.[0] ?? ''} ${gap} ${wanted[at] ?? 0}`,
        ),
      ]).toEqual([width, order.map(() => 'fine')]);

      // Left edges: the two that carry the page, those of the other quarters, and the edge of the window.
      const off = boxes.filter(({ left }) => ![0, ...starts].some((start) => near(left, start)));
      expect([width, off]).toEqual([width, []]);

      // What is shown ends on a line too, and nothing but what fills the whole width is cut.
      const short = shown.filter(({ right }) => ![width, ...ends].some((end) => near(right, end)));
      expect([width, short]).toEqual([width, []]);
      const cut = shown.filter(
        ({ of, ratio }) =>
          ratio &&
          !of.includes('full-width') &&
          !of.includes('clip') &&
          Math.abs(ratio.shown / ratio.own - 1) > 0.02,
      );
      expect([width, cut.filter(({ of }) => !of.includes('compare'))]).toEqual([width, []]);
      for (const { left, right } of galleries) {
        expect([width, starts.some((start) => near(left, start))]).toEqual([width, true]);
        expect([width, near(right, ends[3] ?? 0)]).toEqual([width, true]);
      }
      await fits(reader);
    }
    expect(await reader.axe()).toEqual([]);
  });
});
