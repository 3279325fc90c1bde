import { describe, expect, test } from '@jest/globals';
import { seenBy } from '../access/seen-by.ts';
import { readersMenu } from '../menu/readers-menu.ts';
import { workOn } from '../menu/work-on.ts';
import { pageSchema } from '../pages/page.ts';
import { whyNotBelow } from '../pages/page-places.ts';
import { partsOfStarter } from '../parts/starters.ts';
import { isEmptyPart } from '../parts/is-empty-part.ts';
import { siteContentSchema } from './site.ts';
import { exampleOfStarter } from './example-of-starter.ts';
import { siteStarterKeys, siteStarterOf } from './site-starters.ts';

describe.each(siteStarterKeys)('the starter %s', (key) => {
  const starter = siteStarterOf(key);

  test('is a site that can stand: every page has its place, and nothing on it is filled', () => {
    const rows = starter.pages.map(({ key: id, kind, below }, at) => ({
      ...{ id, kind, parent: below ?? null, rank: `a${at}` },
    }));
    for (const page of rows)
      expect([page.id, whyNotBelow(rows, page.id, page.parent)]).toEqual([page.id, null]);
    expect(new Set(rows.map(({ id }) => id)).size).toBe(rows.length);
    // A page stands behind the one it stands below.
    for (const [at, { parent }] of rows.entries())
      if (parent) expect(rows.findIndex(({ id }) => id === parent)).toBeLessThan(at);
    let n = 0;
    for (const { outline } of starter.pages)
      if (outline)
        for (const part of partsOfStarter(outline, () => `part-id-${n++}`))
          // Credits fill themselves, and are nothing where nobody is to be named.
          expect(part.kind === 'credits' || isEmptyPart(part)).toBe(true);
  });

  test('has an example that readers would find whole', () => {
    const example = exampleOfStarter(starter);
    expect(siteContentSchema.safeParse(example.site).success).toBe(true);
    for (const page of example.pages)
      expect([page.title, pageSchema.safeParse(page).success]).toEqual([page.title, true]);
    const view = seenBy(example, { kind: 'stranger' });
    if (!view) throw new Error('Nobody sees it.');
    expect(view.pages).toHaveLength(starter.pages.length + 1);
    expect(readersMenu(view).length).toBeGreaterThan(1);
    const front = view.pages.find(({ kind }) => kind === 'home');
    if (front) expect(workOn(view, front).length).toBeGreaterThan(0);
  });
});
