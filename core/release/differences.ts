import { effectiveHeight } from '../access/effective-height.ts';
import { heightsOf } from '../access/heights-of.ts';
import { type Height, heightLevel } from '../access/height.ts';
import { siteHeight } from '../access/site-height.ts';
import { creditsOf } from '../credits/credits-of.ts';
import type { Id } from '../id.ts';
import { standsInMenu } from '../menu/stands-in-menu.ts';
import type { Material } from '../materials/material.ts';
import { momentsOf } from '../moments/moments-of.ts';
import type { Phase } from '../moments/phases.ts';
import { materialsOn } from '../pages/materials-on.ts';
import { byRank } from '../pages/by-rank.ts';
import { factsOf, type Page, shownOn } from '../pages/page.ts';
import { sameGround } from '../parts/ground.ts';
import { materialsOf } from '../parts/materials-of.ts';
import { isKnownPart, type Part, rulesOf } from '../parts/parts.ts';
import type { Draft } from '../sites/site.ts';
import { pageName, rulesOfPage } from '../pages/page-kinds.ts';
import { inReadingOrder } from '../pages/in-reading-order.ts';
import { inWallOrder } from '../pages/wall-order.ts';
import { plural } from '../words/plural.ts';
import { releasable } from './released.ts';

/** One thing that publishing would change for readers. */
export interface Difference {
  kind: 'added' | 'changed' | 'removed';
  /** The page it happens on; null for the site itself. */
  page: Id | null;
  title: string;
  /** What changes, in a reader's words, for example "words rewritten". Never empty. */
  what: string[];
  /** The opening is among it. */
  opening: boolean;
  /** Parts that readers do not have yet as they are. */
  parts: Id[];
  /** Set when somebody can open more or less than before. */
  access: { before: Height; after: Height } | null;
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** What each thing was compared with last. Things are never changed in place: a change makes a new one. */
const compared = new WeakMap<object, { with: object; same: boolean }>();

/** `same`, remembered: of a large site all but a few parts are the same two things as the last time. */
function sameThing(a: object, b: object): boolean {
  const last = compared.get(b);
  if (last?.with === a) return last.same;
  const now = { with: a, same: same(a, b) };
  compared.set(b, now);
  return now.same;
}

/** What readers have, or would have. */
interface Side {
  known: ReadonlyMap<Id, Material>;
}
const sideOf = ({ materials }: Draft): Side => ({ known: new Map(materials.map((one) => [one.id, one])) });

/** A material as readers see it: those facts of it that show on a page. */
function shownPicture({ known }: Side, id: Id): unknown {
  const material = known.get(id);
  if (!material) return undefined;
  const { original, caption, alt, fixes, title, transcript, shownBy } = material;
  const own = [original, caption, alt, fixes];
  if (material.kind === 'picture') return own;
  // Of other kinds, more of what is said about them is on the page, and another material may show them.
  const shower = shownBy === id || shownBy === null ? undefined : known.get(shownBy);
  // A page that was read again may say something else now.
  const facts = material.kind === 'link' ? { ...material.facts, readAt: '', movedTo: null } : null;
  return [...own, title, transcript, facts, shower && [shower.original, shower.alt, shower.fixes]];
}

const standsAlone = ({ id, shownBy }: Material): boolean => shownBy === null || shownBy === id;

/** What each material was compared with last, where no other one shows it. */
const shownBefore = new WeakMap<Material, { with: Material; same: boolean }>();

/** Whether two lists of materials show the same to readers, one after the other. */
function sameShown(before: Side, after: Side, old: readonly Id[], now: readonly Id[]): boolean {
  return (
    old.length === now.length &&
    old.every((id, at) => {
      const [was, is] = [before.known.get(id), after.known.get(now[at] ?? '')];
      if (!was || !is) return was === is;
      const alone = standsAlone(was) && standsAlone(is);
      const last = alone ? shownBefore.get(is) : undefined;
      if (last?.with === was) return last.same;
      const answer = same(shownPicture(before, was.id), shownPicture(after, is.id));
      if (alone) shownBefore.set(is, { with: was, same: answer });
      return answer;
    })
  );
}

interface Changes {
  what: string[];
  opening: boolean;
  parts: Id[];
}

/** Whether a part changed in nothing but what it lies on. */
const onlyGround = ({ ground: was, ...before }: Part, { ground: now, ...after }: Part): boolean =>
  !sameGround(was, now) && same(before, after);

function partChanges(
  before: Side,
  after: Side,
  partsBefore: readonly Part[],
  partsAfter: readonly Part[],
): Pick<Changes, 'what' | 'parts'> {
  const what: string[] = [];
  const parts: Id[] = [];
  // Of kinds that are not known here, readers get nothing.
  const [old, now] = [partsBefore.filter(isKnownPart), partsAfter.filter(isKnownPart)];
  const oldById = new Map(old.map((part) => [part.id, part]));
  const nowIds = new Set(now.map((part) => part.id));
  for (const part of now) {
    const was = oldById.get(part.id);
    const { noun, changed } = rulesOf(part);
    const change = (words: string) => {
      what.push(words);
      parts.push(part.id);
    };
    if (!was) change(`${noun} added`);
    else if (!sameThing(was, part))
      change(onlyGround(was, part) ? `ground below the ${noun}` : changed(was, part));
    else if (!sameShown(before, after, materialsOf(was), materialsOf(part)))
      change(`caption, alt text or fixes in a ${noun}`);
  }
  for (const part of old) if (!nowIds.has(part.id)) what.push(`${rulesOf(part).noun} removed`);
  const common = (list: readonly Part[], other: ReadonlySet<Id>) =>
    list.filter((part) => other.has(part.id)).map((part) => part.id);
  if (!same(common(old, nowIds), common(now, new Set(oldById.keys())))) what.push('parts in another order');
  return { what, parts };
}

function credits({ known }: Side, page: Page): unknown {
  return creditsOf(materialsOn(shownOn(page)), known);
}

/** Where an outside link leads; null of all other pages. */
const leadOf = (page: Page) => ('leadsTo' in page ? [page.leadsTo, page.newWindow] : null);

function pageChanges(before: Side, after: Side, was: Page, page: Page): Changes {
  const what: string[] = [];
  const [old, now] = [shownOn(was), shownOn(page)];
  if (was.title !== page.title) what.push('title');
  if (was.language !== page.language) what.push('language');
  if (old.summary !== now.summary) what.push('summary');
  if (was.slug !== page.slug) what.push('address of the page');
  if (!same(leadOf(was), leadOf(page))) what.push('where it leads');
  if (!same(factsOf(was), factsOf(page))) what.push('case facts');
  if (!same(old.cover, now.cover)) what.push('cover');
  const opening =
    !same(old.opening, now.opening) || !sameShown(before, after, old.opening.pictures, now.opening.pictures);
  if (opening) what.push('opening');
  const ofParts = partChanges(before, after, old.parts, now.parts);
  what.push(...ofParts.what);
  if (!same(credits(before, was), credits(after, page))) what.push('credits');
  if (was.parent !== page.parent || was.rank !== page.rank) what.push('place in the site');
  if (standsInMenu(was) !== standsInMenu(page))
    what.push(standsInMenu(page) ? 'stands in the menu' : 'left out of the menu');
  return { what, opening, parts: ofParts.parts };
}

/**
 * Work as it hangs on the front page, of what two drafts have both: what came or went is told of itself. In reading order, and by rank
 * alone: to readers who may not open what a page hangs below, it hangs beside the others.
 */
function wallOf({ site, pages }: Draft, other: Draft): Id[][] {
  const off = new Set(site.offWall);
  const both = new Set(other.pages.map(({ id }) => id));
  const hung = (inOrder: Page[]) =>
    inWallOrder(
      inOrder.filter((page) => rulesOfPage(page).isWork && both.has(page.id) && !off.has(page.id)),
      site,
    ).map(({ id }) => id);
  return [hung(inReadingOrder(pages)), hung([...pages].sort(byRank))];
}

/** Phases that readers are told of: those of moments, in their order. */
function phasesUsed({ site, pages }: Draft): Phase[] {
  const used = new Set(pages.flatMap((page) => momentsOf(shownOn(page).parts).map(({ phase }) => phase)));
  return site.phases.filter(({ id }) => used.has(id));
}

/** A change that lies on no single part. */
const onNoPart = { opening: false, parts: [] };

const heightNames: Record<Height, string> = {
  private: 'Private',
  invited: 'Invited',
  unlisted: 'Unlisted',
  public: 'Public',
};

/** What of a site says how its front page hangs, besides the order. */
const hangs = ['wall', 'wallLabels', 'wallDates', 'wallTags', 'welcome'] as const;

/**
 * What publishing `draft` would change for readers who now see `live` (the releasable part of an earlier draft;
 * null when nothing is published). Empty when readers already see the draft as it is.
 */
export function differences(live: Draft | null, draft: Draft): Difference[] {
  const after = releasable(draft);
  const list: Difference[] = [];
  const siteWas = live ? siteHeight(live.site) : 'private';
  const siteIs = siteHeight(after.site);
  const sides = { before: sideOf(live ?? after), after: sideOf(after) };
  const what: string[] = [];
  if (live && live.site.title !== after.site.title) what.push('name of the site');
  if (live && live.site.by !== after.site.by) what.push('name of the maker');
  if (live && !same(live.site.look, after.site.look)) what.push('look');
  const onGround = live?.site.look.ground.picture ?? null;
  // Another one is told as the look; the same one may be cut or described otherwise.
  if (
    onGround !== null &&
    onGround === after.site.look.ground.picture &&
    !sameShown(sides.before, sides.after, [onGround], [onGround])
  )
    what.push('picture on the ground');
  if (live && live.site.menu !== after.site.menu) what.push('manner of the menu');
  if (live && hangs.some((field) => live.site[field] !== after.site[field]))
    what.push('how the front page hangs');
  if (live && live.site.language !== after.site.language) what.push('language');
  if (live && !same(phasesUsed(live), phasesUsed(after))) what.push('phases of the work');
  if (live && !same(live.site.quickLinks, after.site.quickLinks)) what.push('quick links');
  if (live && (live.site.contact !== after.site.contact || live.site.rights !== after.site.rights))
    what.push('what stands at the end of every page');
  if (live && !same(wallOf(live, after), wallOf(after, live)))
    what.push('what hangs on the front page, or in which order');
  if (live && live.site.underAge !== after.site.underAge)
    what.push(
      after.site.underAge ? 'what is held down for somebody under 18' : 'nothing is held down for an age',
    );
  if (live && live.site.linkPictures !== after.site.linkPictures)
    what.push(
      after.site.linkPictures
        ? 'Unlisted links are passed on with a picture'
        : 'Unlisted links are passed on without a picture',
    );
  if (live && siteIs === 'public' && live.site.searchEngines !== after.site.searchEngines)
    what.push(
      after.site.searchEngines ? 'search engines may find it' : 'search engines are asked to stay away',
    );
  if (live && siteIs === 'public' && siteWas === siteIs && live.site.address !== after.site.address)
    what.push('address named where a link to it is shown');
  if (siteWas !== siteIs) what.push(`${heightNames[siteWas]} becomes ${heightNames[siteIs]}`);
  if (what.length > 0)
    list.push({
      kind: 'changed',
      page: null,
      title: 'The whole site',
      what,
      ...onNoPart,
      access: siteWas === siteIs ? null : { before: siteWas, after: siteIs },
    });

  const heights = { before: heightsOf(live ?? after), after: heightsOf(after) };
  const oldPages = new Map((live?.pages ?? []).map((page) => [page.id, page]));
  for (const page of [...after.pages].sort(byRank)) {
    const was = oldPages.get(page.id);
    const isAt = effectiveHeight(after, { page: page.id }).height;
    if (!live || !was) {
      const shown = new Set(materialsOn(shownOn(page)));
      const pictures = [...shown].filter((id) => sides.after.known.get(id)?.kind === 'picture').length;
      list.push({
        kind: 'added',
        page: page.id,
        title: pageName(page),
        what: [pictures > 0 ? plural(pictures, 'picture') : 'new page', heightNames[isAt]],
        ...onNoPart,
        access: { before: 'private', after: isAt },
      });
      continue;
    }
    const wasAt = effectiveHeight(live, { page: page.id }).height;
    const changes = pageChanges(sides.before, sides.after, was, page);
    // A page that rises or sinks only with the whole site is told once, with the site.
    const ownHeightMoved = was.height !== page.height && wasAt !== isAt;
    if (ownHeightMoved) changes.what.push(`${heightNames[wasAt]} becomes ${heightNames[isAt]}`);
    else if (was.height !== page.height && siteIs === 'unlisted' && siteWas === siteIs) {
      // Where the whole site is Unlisted its link opens what is listed in it: Public pages.
      const listed = [heights.before, heights.after].map(({ pages }) => pages.get(page.id) === 'public');
      if (listed[0] !== listed[1])
        changes.what.push(listed[1] ? 'opened by the link to the site' : 'left out of the link to the site');
    }
    if (changes.what.length > 0)
      list.push({
        kind: 'changed',
        page: page.id,
        title: pageName(page),
        ...changes,
        access: heightLevel(wasAt) === heightLevel(isAt) ? null : { before: wasAt, after: isAt },
      });
  }
  const nowIds = new Set(after.pages.map((page) => page.id));
  for (const was of live?.pages ?? [])
    if (live && !nowIds.has(was.id) && after.site.height !== 'private')
      list.push({
        kind: 'removed',
        page: was.id,
        title: pageName(was),
        what: ['readers can no longer open it'],
        ...onNoPart,
        access: { before: effectiveHeight(live, { page: was.id }).height, after: 'private' },
      });
  return list;
}
