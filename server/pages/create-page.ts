import type { z } from 'zod';
import { generateKeyBetween } from 'fractional-indexing';
import type { createPage } from '#contract/pages.ts';
import { byRank } from '#core/pages/by-rank.ts';
import { copyOfPage, copyOfTree } from '#core/pages/copy-of-page.ts';
import type { Material } from '#core/materials/material.ts';
import { isShown, type Page, type ShownPage } from '#core/pages/page.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { whyNotBelow } from '#core/pages/page-places.ts';
import { pageSlug } from '#core/pages/page-slug.ts';
import { pagesBelow } from '#core/pages/pages-below.ts';
import { isEmptyPart } from '#core/parts/is-empty-part.ts';
import { newPart } from '#core/parts/new-part.ts';
import { partsFor } from '#core/parts/parts-for.ts';
import { partsOfStarter } from '#core/parts/starters.ts';
import type { Edit } from '../db/edit.ts';
import { newId } from '../db/new-id.ts';
import type { Scope } from '../db/rows/row-kind.ts';
import { readPages } from '../db/rows/page-row.ts';
import { notFound, Problem } from '../http/problem.ts';
import { isPublished } from '../sites/site-rows.ts';
import { emptyPage } from './new-page.ts';
import { materialsToPlace, placesOf } from './places.ts';

type Wanted = z.output<typeof createPage.body>;
type Places = Awaited<ReturnType<typeof placesOf>>;

/** Fills a page from materials: the first picture opens it, the others hang in a gallery, all else stands below. */
function filledFrom<P extends ShownPage>(
  page: P,
  chosen: readonly Pick<Material, 'id' | 'kind' | 'transcript'>[],
): P {
  const opening = chosen.find(({ kind }) => kind === 'picture');
  const rest = chosen.filter((one) => one !== opening);
  const hung = rest.filter(({ kind }) => kind === 'picture').map(({ id }) => id);
  return {
    ...page,
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

/** The rank behind all that stand below a page, or at the top. */
export function lastRank(places: Places, parent: string | null): string {
  const beside = places.filter((one) => one.parent === parent).sort(byRank);
  return generateKeyBetween(beside.at(-1)?.rank ?? null, null);
}

/** Gives out addresses that no page of the site has, nor one that was given out before. */
export function slugsBeside(places: Places): (title: string, kind: string) => string {
  const taken = new Set(places.map((one) => one.slug));
  return (title, kind) => {
    const slug = pageSlug(title || kind, taken);
    taken.add(slug);
    return slug;
  };
}

/** @throws Problem 409 where a page may not stand below another, or its site has one of its kind */
function mayStand(places: Places, kind: Page['kind'], parent: string | null): void {
  const page = { id: '', kind, parent: null, rank: 'a0' };
  const why = whyNotBelow([...places, page], page.id, parent);
  if (why !== null) throw new Problem(409, 'no-place', why);
  const { isSingle, name } = rulesOfPage({ kind });
  if (isSingle && places.some((one) => one.kind === kind))
    throw new Problem(409, 'only-one', `This site has its page “${name}” already; there is only one of it.`);
}

async function copies(running: Edit, scope: Scope, places: Places, body: Wanted): Promise<Page[]> {
  const of = places.find(({ id }) => id === body.copyOf);
  if (!of || rulesOfPage(of).isFront) throw notFound('The page to copy');
  mayStand(places, of.kind, of.parent);
  const below = body.withBelow ? pagesBelow(places, of.id) : [];
  const rows = await readPages(running.tx, scope.site, [of.id, ...below.map(({ id }) => id)]);
  const pages = rows.map(({ row }) => row);
  const model = pages.find(({ id }) => id === of.id);
  if (!model) throw notFound('The page to copy');
  const slug = slugsBeside(places);
  const slugFor = (page: Page) => slug(page.title, page.kind);
  const rank = lastRank(places, of.parent);
  return body.withBelow
    ? copyOfTree(pages, of.id, { newId, slugFor }, { rank })
    : [copyOfPage(model, { rank, slug: slugFor(model) }, newId)];
}

/**
 * Makes a page, or copies of one.
 *
 * @returns the id of the new page, or of the first of the copies
 * @throws Problem 404 where there is nothing to copy, 409 where it has no place
 */
export async function makePage(running: Edit, scope: Scope, body: Wanted): Promise<string> {
  const places = await placesOf(running.tx, scope.site);
  if (body.copyOf !== undefined) {
    const made = await copies(running, scope, places, body);
    for (const page of made) await running.insert('page', page);
    return made[0]?.id ?? '';
  }
  const { kind, parent, title } = body;
  mayStand(places, kind, parent);
  const slug = slugsBeside(places)(title, kind);
  let page: Page = { ...emptyPage(kind, lastRank(places, parent), slug, title), parent } as Page;
  if (page.kind === 'link') page = { ...page, leadsTo: body.leadsTo ?? '' };
  if (isShown(page) && (rulesOfPage(page).isWork || body.materials.length > 0))
    page = filledFrom(page, await materialsToPlace(running.tx, scope.account, body.materials));
  if (isShown(page) && body.starter)
    page = {
      ...page,
      parts: [...partsOfStarter(body.starter, newId), ...page.parts.filter((part) => !isEmptyPart(part))],
    };
  // Where readers come and go already, nothing new is shown to them before its maker has looked at it.
  if (await isPublished(running.tx, scope.site)) page = { ...page, height: 'private' };
  await running.insert('page', page);
  return page.id;
}
