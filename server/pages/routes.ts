import type { FastifyInstance } from 'fastify';
import { generateKeyBetween } from 'fractional-indexing';
import { changePage, createProject, deletePage, movePart } from '#contract/pages.ts';
import { pageSlug } from '#core/pages/page-slug.ts';
import { copyOfPage } from '#core/pages/copy-of-page.ts';
import type { Material } from '#core/materials/material.ts';
import { heldIn } from '#core/parts/held-in.ts';
import { newPart } from '#core/parts/new-part.ts';
import { isShown, type PageOf, type ShownPage, shownOn } from '#core/pages/page.ts';
import { isEmptyPart } from '#core/parts/is-empty-part.ts';
import { partsSchema } from '#core/parts/parts.ts';
import { partsOfStarter } from '#core/parts/starters.ts';
import { partsFor } from '#core/parts/parts-for.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Commands } from '../commands/commands.ts';
import type { Database, Transaction } from '../db/connect.ts';
import { readPages } from '../db/rows/page-row.ts';
import { newId } from '../db/new-id.ts';
import { wasReleased } from '../db/release-source.ts';
import { handle } from '../http/handle.ts';
import { notFound, Problem } from '../http/problem.ts';
import { isPublished } from '../sites/site-rows.ts';
import { patchAfter } from '../sites/site-state.ts';
import { joinedPage } from './joined-page.ts';
import { emptyPage } from './new-page.ts';
import { materialsToPlace, placesOf } from './places.ts';

/** A project from materials: the first picture opens the page, the others hang in a gallery, all else stands below. */
function projectFrom(
  title: string,
  chosen: readonly Pick<Material, 'id' | 'kind' | 'transcript'>[],
  rank: string,
  slug: string,
): PageOf<'project'> {
  const opening = chosen.find(({ kind }) => kind === 'picture');
  const page = emptyPage('project', rank, slug);
  const rest = chosen.filter((one) => one !== opening);
  const hung = rest.filter(({ kind }) => kind === 'picture').map(({ id }) => id);
  return {
    ...page,
    title,
    opening: opening ? { layout: 'full', pictures: [opening.id] } : page.opening,
    parts: [
      newPart('words', newId()),
      ...(hung.length > 0 ? [newPart('gallery', newId(), hung)] : []),
      ...partsFor(
        rest.filter(({ kind }) => kind !== 'picture'),
        newId,
      ),
    ],
  };
}

/** @throws Problem 404 where the site has no such project */
async function projectToCopy(tx: Transaction, site: string, id: string): Promise<ShownPage> {
  const [found] = await readPages(tx, site, [id]);
  if (!found || !isShown(found.row) || !rulesOfPage(found.row).isWork) throw notFound('The project to copy');
  return found.row;
}

export function pageRoutes(
  app: FastifyInstance,
  { db, commands }: { db: Database; commands: Commands },
): void {
  handle(app, createProject, async ({ params, body }, request) => {
    const scope = { site: params.site, account: makerOf(request).id };
    let id = '';
    const label = body.copyOf ? 'Copy of a project' : `New project ${body.title}`.trim();
    const result = await commands.run(scope, { label }, async (running) => {
      const rows = await placesOf(running.tx, scope.site);
      const last =
        rows
          .map((row) => row.rank)
          .sort()
          .at(-1) ?? null;
      const model =
        body.copyOf === undefined ? null : await projectToCopy(running.tx, scope.site, body.copyOf);
      const slug = pageSlug(model?.title || body.title || 'project', new Set(rows.map((row) => row.slug)));
      const rank = generateKeyBetween(last, null);
      const chosen = await materialsToPlace(running.tx, scope.account, body.materials);
      const page = model
        ? copyOfPage(model, { rank, slug }, newId)
        : projectFrom(body.title, chosen, rank, slug);
      if (body.starter)
        page.parts = [
          ...partsOfStarter(body.starter, newId),
          ...page.parts.filter((part) => !isEmptyPart(part)),
        ];
      id = page.id;
      // Where readers come and go already, nothing new is shown to them before its maker has looked at it.
      const published = await isPublished(running.tx, scope.site);
      await running.insert('page', published ? { ...page, height: 'private' } : page);
    });
    return { ...(await patchAfter(db, scope, result)), page: id };
  });

  handle(app, changePage, async ({ params, body }, request) => {
    const scope = { site: params.site, account: makerOf(request).id };
    let joined = false;
    const result = await commands.run(scope, body, async (running) => {
      const joining = await joinedPage(running, params.page, body);
      joined = joining.joined;
      const change = { ...joining.change };
      const rows = await placesOf(running.tx, scope.site);
      const others = new Set(rows.filter((row) => row.id !== params.page).map((row) => row.slug));
      const own = rows.find((row) => row.id === params.page);
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
    const result = await commands.run(scope, { label: 'Delete page' }, async (running) => {
      const [found] = await readPages(running.tx, scope.site, [params.page]);
      if (found && rulesOfPage(found.row).isFront)
        throw new Problem(409, 'home-stays', 'The front page stays; its words can be changed.');
      await running.remove('page', params.page);
      if (body?.readers === 'now')
        running.close([
          params.page,
          ...(found ? shownOn(found.row).parts : []).flatMap((part) => [
            part.id,
            ...heldIn(part).map(({ id }) => id),
          ]),
        ]);
    });
    return patchAfter(db, scope, result);
  });
}
