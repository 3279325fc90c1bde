import type { FastifyInstance } from 'fastify';
import { changeHeights, changePage, createPage, deletePage, movePart, sendPage } from '#contract/pages.ts';
import { takeStarter } from '#contract/site-starters.ts';
import { plural } from '#core/words/plural.ts';
import { reservedSlugs } from '#core/pages/reserved-slugs.ts';
import { pageSlug } from '#core/pages/page-slug.ts';
import { rankSchema } from '#core/pages/rank.ts';
import { whyNotBelow } from '#core/pages/page-places.ts';
import { isShown } from '#core/pages/page.ts';
import { siteStarterOf } from '#core/sites/site-starters.ts';
import { partsSchema } from '#core/parts/parts.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Commands } from '../commands/commands.ts';
import type { Database } from '../db/connect.ts';
import { readPages } from '../db/rows/page-row.ts';
import { wasReleased } from '../db/release-source.ts';
import { handle } from '../http/handle.ts';
import { parsed } from '../http/parsed.ts';
import { notFound, Problem } from '../http/problem.ts';
import { patchAfter } from '../sites/site-state.ts';
import { makePage } from './create-page.ts';
import { removePage } from './delete-page.ts';
import { settleChange } from '../db/joined-change.ts';
import { joinedPage } from './joined-page.ts';
import { placesOf } from './places.ts';
import { takeOver } from './take-starter.ts';
import { takePageTo } from './send-page.ts';

export function pageRoutes(
  app: FastifyInstance,
  { db, commands }: { db: Database; commands: Commands },
): void {
  handle(app, createPage, async ({ params, body }, request) => {
    const scope = { site: params.site, account: makerOf(request).id };
    let id = '';
    const name = rulesOfPage(body).name.toLowerCase();
    const label = body.copyOf ? 'Copy of a page' : `New ${name} ${body.title}`.trim();
    const result = await commands.run(scope, { label }, async (running) => {
      id = await makePage(running, scope, body);
    });
    return { ...(await patchAfter(db, scope, result)), page: id };
  });

  handle(app, takeStarter, async ({ params, body }, request) => {
    const scope = { site: params.site, account: makerOf(request).id };
    let taken: { made: string[]; left: string[] } = { made: [], left: [] };
    const label = `Starter “${siteStarterOf(body.starter).name}”`;
    const result = await commands.run(scope, { label }, async (running) => {
      taken = await takeOver(running, scope, body);
    });
    return { ...(await patchAfter(db, scope, result)), ...taken };
  });

  handle(app, changePage, async ({ params, body }, request) => {
    const scope = { site: params.site, account: makerOf(request).id };
    let joined = false;
    const result = await commands.run(scope, body, async (running) => {
      const joining = await joinedPage(running, params.page, body);
      joined = joining.joined;
      if (body.decided === 'theirs')
        return settleChange(running, 'page', params.page, joining.change, body.decided);
      const change = { ...joining.change };
      // Asked here and not where the request is read: the studio has no use for the package that knows.
      if (change.rank !== undefined) parsed(rankSchema, change.rank);
      const rows = await placesOf(running.tx, scope.site);
      // What cannot be opened takes no address away.
      const others = new Set(
        rows.filter((row) => row.id !== params.page && rulesOfPage(row).opens).map((row) => row.slug),
      );
      const own = rows.find((row) => row.id === params.page);
      if (change.parent !== undefined) {
        const why = whyNotBelow(rows, params.page, change.parent);
        if (why !== null) throw new Problem(409, 'no-place', why);
      }
      if (change.slug !== undefined && reservedSlugs.has(change.slug))
        throw new Problem(409, 'slug-kept', 'This address is kept for the site’s own files and pages.', {
          field: 'slug',
        });
      if (change.slug !== undefined && others.has(change.slug))
        throw new Problem(409, 'slug-taken', 'Another page of this site has this address.', {
          field: 'slug',
        });
      // A page's address follows its title until readers have had it; then it stays, so links keep working.
      if (change.title && change.slug === undefined && own && !rulesOfPage(own).isFront)
        if (!(await wasReleased(running.tx, scope.site, params.page)))
          change.slug = pageSlug(change.title, others);
      await running.update('page', params.page, change);
    });
    // The same words sent once more, because their first answer was lost in a reload, join nothing.
    return { ...(await patchAfter(db, scope, result)), joined: joined && result.changes.length > 0 };
  });

  handle(app, changeHeights, async ({ params, body: { pages, height } }, request) => {
    const scope = { site: params.site, account: makerOf(request).id };
    const label = `Height of ${plural(pages.length, 'page')}`;
    const result = await commands.run(scope, { label }, async (running) => {
      for (const { id, was } of pages) {
        const { row } = await running.find('page', id);
        if (row.height !== was)
          throw new Problem(
            409,
            'changed-meanwhile',
            `The height of “${row.title}” was changed meanwhile. Nothing was changed; look again.`,
          );
        await running.update('page', id, { height });
      }
    });
    return patchAfter(db, scope, result);
  });

  handle(app, movePart, async ({ params, body }, request) => {
    const scope = { site: params.site, account: makerOf(request).id };
    if (body.to === params.page)
      throw new Problem(400, 'same-page', 'This part stands on that page already.');
    const result = await commands.run(scope, { label: 'Part moved to another page' }, async (running) => {
      const rows = (await readPages(running.tx, scope.site, [params.page, body.to])).map(({ row }) => row);
      const shown = (id: string) => rows.filter(isShown).find((page) => page.id === id);
      const [from, to] = [shown(params.page), shown(body.to)];
      const part = from?.parts.find(({ id }) => id === params.part);
      if (!from || !to || !part) throw notFound('This part');
      const there = partsSchema.safeParse([...to.parts, part]);
      if (!there.success)
        throw new Problem(
          409,
          'page-full',
          'That page holds as many parts as a page can. Choose another one.',
        );
      await running.update(
        'page',
        from.id,
        { parts: from.parts.filter(({ id }) => id !== part.id) },
        body.seen,
      );
      await running.update('page', to.id, { parts: there.data }, body.seenThere);
    });
    return patchAfter(db, scope, result);
  });

  handle(app, deletePage, async ({ params, body }, request) => {
    const scope = { site: params.site, account: makerOf(request).id };
    const { readers = 'next-publish', below = 'delete' } = body ?? {};
    const result = await commands.run(scope, { label: 'Delete page' }, (running) =>
      removePage(running, scope, params.page, { readers, below }),
    );
    return patchAfter(db, scope, result);
  });

  handle(app, sendPage, async ({ params, body }, request) => {
    const scope = { site: params.site, account: makerOf(request).id };
    return patchAfter(db, scope, await takePageTo({ db, commands }, scope, params.page, body));
  });
}
