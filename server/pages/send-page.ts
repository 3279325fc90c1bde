import { copyOfTree } from '#core/pages/copy-of-page.ts';
import type { Page } from '#core/pages/page.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { pagesBelow } from '#core/pages/pages-below.ts';
import type { Commands } from '../commands/commands.ts';
import type { Database } from '../db/connect.ts';
import type { EditResult } from '../db/edit.ts';
import { newId } from '../db/new-id.ts';
import { readPages } from '../db/rows/page-row.ts';
import type { Scope } from '../db/rows/row-kind.ts';
import { notFound, Problem } from '../http/problem.ts';
import { ownSite } from '../sites/load-draft.ts';
import { lastRank, slugsBeside } from './create-page.ts';
import { removePage } from './delete-page.ts';
import { placesOf } from './places.ts';

/**
 * Takes a page with all that stands below it to another site of its maker. It is there before it goes here: what comes to a
 * stop in between leaves it on both, and nothing is lost.
 *
 * @throws Problem 404 where either site or the page is not this maker's, 409 where it cannot go
 */
export async function takePageTo(
  { db, commands }: { db: Database; commands: Commands },
  from: Scope,
  page: string,
  { to, readers }: { to: string; readers: 'now' | 'next-publish' },
): Promise<EditResult> {
  if (to === from.site) throw new Problem(400, 'same-site', 'This page stands on that site already.');
  const here = await ownSite(db, from.account, from.site);
  const there = await ownSite(db, from.account, to);
  const places = await placesOf(db, from.site);
  const own = places.find(({ id }) => id === page);
  if (!own) throw notFound('This page');
  if (rulesOfPage(own).isFront)
    throw new Problem(409, 'home-stays', 'The front page stays; its words can be changed.');
  const rows = await readPages(db, from.site, [page, ...pagesBelow(places, page).map(({ id }) => id)]);
  const pages = rows.map(({ row }) => row);
  const name = own.kind === 'project' ? 'Project' : 'Page';
  await commands.run(
    { ...from, site: to },
    { label: `${name} taken from ${here.title}` },
    async (running) => {
      const taken = await placesOf(running.tx, to);
      for (const one of pages)
        if (rulesOfPage(one).isSingle && taken.some(({ kind }) => kind === one.kind))
          throw new Problem(
            409,
            'only-one',
            `“${there.title}” has its page “${rulesOfPage(one).name}” already. Move that one out of the way first.`,
          );
      const slug = slugsBeside(taken);
      const slugFor = (one: Page) => slug(one.title, one.kind);
      const [first, ...below] = copyOfTree(pages, page, { newId, slugFor }, { rank: lastRank(taken, null) });
      const title = pages.find(({ id }) => id === page)?.title ?? '';
      if (first) await running.insert('page', { ...first, title, parent: null });
      for (const one of below) await running.insert('page', one);
    },
  );
  return commands.run(from, { label: `${name} taken to ${there.title}` }, (running) =>
    removePage(running, from, page, { readers, below: 'delete' }),
  );
}
