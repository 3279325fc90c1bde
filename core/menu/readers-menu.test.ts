import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mixedDraftArbitrary } from '../access/arbitrary-draft.ts';
import { heightsOf } from '../access/heights-of.ts';
import { reaches } from '../access/height.ts';
import { seenBy, type SeenPage } from '../access/seen-by.ts';
import { reachOf, type Viewer } from '../access/viewer.ts';
import type { Id } from '../id.ts';
import { rulesOfPage } from '../pages/page-kinds.ts';
import { type MenuNode, readersMenu } from './readers-menu.ts';
import { workBeside, workOn } from './work-on.ts';

const viewers: Viewer[] = [
  { kind: 'stranger' },
  { kind: 'site-link' },
  { kind: 'pass', covers: 'site', downloads: true },
  { kind: 'pass', covers: ['page-1', 'page-3'], downloads: true },
  { kind: 'page-link', page: 'page-2' },
  { kind: 'maker' },
];
const flat = (nodes: readonly MenuNode[]): MenuNode[] => nodes.flatMap((node) => [node, ...flat(node.below)]);

describe('the readers’ menu, the walls and the neighbours', () => {
  test('name only what their reader may open, each page of the menu once', () => {
    fc.assert(
      fc.property(mixedDraftArbitrary, fc.constantFrom(...viewers), (draft, viewer) => {
        const view = seenBy(draft, viewer);
        if (!view) return;
        const { pages: heights } = heightsOf(draft);
        // Worked out from the draft's heights, and not from the view that everything comes from.
        const mayOpen = ({ id }: { id: Id }) =>
          reaches(draft.site.height, reachOf(viewer)) &&
          reaches(heights.get(id) ?? 'private', reachOf(viewer));
        const named = flat(readersMenu(view)).map(({ page }) => page);
        expect(new Set(named.map(({ id }) => id)).size).toBe(named.length);
        const hung = view.pages.flatMap((page): SeenPage[] => [
          ...workOn(view, page),
          ...workBeside(view, page),
        ]);
        for (const page of [...named, ...hung]) expect([page.id, mayOpen(page)]).toEqual([page.id, true]);
        for (const page of hung) expect(rulesOfPage(page).isWork).toBe(true);
        // Orders that the maker keeps do not tell of what is kept from this reader.
        for (const id of view.site.wallOrder) expect(mayOpen({ id })).toBe(true);
        for (const { pages } of view.site.quickLinks)
          for (const id of pages) expect(mayOpen({ id })).toBe(true);
      }),
    );
  });

  test('nobody who came by the link of one page gets a menu of the site', () => {
    fc.assert(
      fc.property(mixedDraftArbitrary, (draft) => {
        const view = seenBy(draft, { kind: 'page-link', page: 'page-0' });
        if (view) expect(readersMenu(view)).toEqual([]);
      }),
    );
  });

  test('what was taken off the front page does not hang there, and whoever is next to a page has it next to them', () => {
    fc.assert(
      fc.property(mixedDraftArbitrary, (draft) => {
        const view = seenBy(draft, { kind: 'maker' });
        const front = view?.pages.find((page) => rulesOfPage(page).isFront);
        if (!view || !front) return;
        const off = new Set(draft.site.offWall);
        for (const { id } of workOn(view, front)) expect(off.has(id)).toBe(false);
        for (const page of view.pages)
          for (const other of workBeside(view, page))
            expect(workBeside(view, other).map(({ id }) => id)).toEqual(
              workBeside(view, page).map(({ id }) => id),
            );
      }),
    );
  });

  test('goes three levels deep, and a heading leaves with what it headed', () => {
    const at = (kind: string, id: Id, parent: Id | null, more: object = {}) =>
      ({
        ...{ id, kind, parent, title: id, slug: id, summary: '', inMenu: true, onWall: true, lead: null },
        ...{ opening: { layout: 'words', pictures: [] }, parts: [], ...more },
      }) as unknown as SeenPage;
    const menu = (pages: SeenPage[]) =>
      flat(
        readersMenu({
          site: { wallOrder: [], language: 'en' } as never,
          entry: null,
          led: false,
          pages,
          materials: {},
        }),
      ).map(({ title }) => title);
    const deep = ['a', 'b', 'c', 'd'].map((id, level) =>
      at('plain', id, level ? 'abc'.charAt(level - 1) : null),
    );
    expect(menu(deep)).toEqual(['a', 'b', 'c']);
    expect(menu([at('heading', 'Elsewhere', null)])).toEqual([]);
    expect(menu([at('heading', 'Elsewhere', null), at('link', 'Tables', 'Elsewhere')])).toEqual([]);
    const lead = { to: 'https://tides.example/', newWindow: false };
    expect(menu([at('heading', 'Elsewhere', null), at('link', 'Tables', 'Elsewhere', { lead })])).toEqual([
      'Elsewhere',
      'Tables',
    ]);
    // A group that only says its name is no page worth a visit; one that holds something is, though that stands in no menu.
    expect(menu([at('group', 'Year one', null)])).toEqual([]);
    expect(
      menu([at('group', 'Year one', null), at('project', 'Clock', 'Year one', { inMenu: false })]),
    ).toEqual(['Year one']);
  });
});
