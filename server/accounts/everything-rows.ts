import { framingSchema } from '#core/embed/framing.ts';
import { and, asc, eq } from 'drizzle-orm';
import sanitize from 'sanitize-filename';
import type { Everything } from '#contract/everything.ts';
import { handInTermsSchema } from '#core/hand-ins/hand-in.ts';
import type { Attachment } from '#core/comments/attachment.ts';
import type { Material } from '#core/materials/material.ts';
import { setTimeTermsSchema } from '#core/release/set-time.ts';
import type { Draft } from '#core/sites/site.ts';
import { receivedBy } from '../comments/comment-rows.ts';
import type { Database } from '../db/connect.ts';
import { sourceOf } from '../db/release-source.ts';
import { materialOf } from '../db/rows/material-row.ts';
import { accounts, handIns, linkKeys, materials, messages, releases, setTimes, sites } from '../db/schema.ts';
import { passOf, passRows } from '../passes/pass-rows.ts';
import { entriesOf } from '../groups/class-rows.ts';
import { classesOf } from '../groups/classes-of.ts';
import { groupsOf } from '../groups/group-rows.ts';
import { lookOf, lookRows } from '../second-look/look-rows.ts';
import { loadDraft, type SiteRow } from '../sites/load-draft.ts';
import { formerAddressesOf } from '../sites/site-rows.ts';

type SiteWithAll = Everything['sites'][number];

const iso = (at: Date | null): string | null => at?.toISOString() ?? null;

/** Where the original of a material lies in the ZIP. */
const fileOf = ({ id, kind, fileName, title }: Material): string | null =>
  kind === 'link' || kind === 'note' ? null : `files/${id}-${sanitize(fileName || title).slice(0, 120)}`;

/** Where a file that came with a comment lies in it. Of a picture its pixels are kept alone, as WebP. */
const attachmentFile = ({ id, fileName, kind }: Attachment): string =>
  `comments/${id}-${sanitize(fileName).slice(0, 120)}${kind === 'picture' ? '.webp' : ''}`;

async function siteWithAll(db: Database, row: SiteRow, secret: Buffer): Promise<SiteWithAll> {
  const { site, pages } = await loadDraft(db, row);
  const links = await db.select().from(linkKeys).where(eq(linkKeys.siteId, row.id));
  const handed = await db.select().from(handIns).where(eq(handIns.siteId, row.id)).orderBy(handIns.createdAt);
  const classes = await classesOf(db, row.id);
  const times = await db.select().from(setTimes).where(eq(setTimes.siteId, row.id)).orderBy(setTimes.at);
  const written = await db
    .select()
    .from(messages)
    .where(eq(messages.siteId, row.id))
    .orderBy(messages.createdAt);
  const said = await receivedBy(db, row.accountId);
  const made = await db
    .select({ id: releases.id, number: releases.number, name: releases.name, createdAt: releases.createdAt })
    .from(releases)
    .where(eq(releases.siteId, row.id))
    .orderBy(asc(releases.number));
  return {
    ...{ site, pages, listed: row.listed, countsVisits: row.countsVisits },
    framing: framingSchema.parse(row.framing),
    formerAddresses: await formerAddressesOf(db, row.id),
    links: links.map(({ thing, key }) => ({ thing, path: `/l/${key}/` })),
    passes: (await passRows(db, row.id)).map((pass) => passOf(pass, secret)),
    handIns: handed.map((one) => ({
      ...handInTermsSchema.parse(one),
      ...{ handedInAt: iso(one.handedAt), ofClass: classes.get(one.id) ?? null },
    })),
    setTimes: times.map((one) => ({ ...setTimeTermsSchema.parse(one), doneAt: iso(one.doneAt) })),
    comments: said
      .filter(({ site: on, deleted }) => on.id === row.id && !deleted)
      .map(({ site: _site, blocked: _blocked, deleted: _deleted, attachments, ...comment }) => ({
        ...comment,
        attachments: attachments.map((one) => ({ ...one, file: attachmentFile(one) })),
      })),
    secondLooks: (await lookRows(db, row.id)).map((look) => lookOf(look, secret, new Date())),
    messages: written
      .filter(({ deletedAt }) => deletedAt === null)
      .map(({ name, from, words, page, createdAt }) => ({
        ...{ name, from, words, page },
        at: createdAt.toISOString(),
      })),
    releases: made.map(({ id, number, name, createdAt }) => ({
      ...{ number, name, at: createdAt.toISOString(), live: id === row.liveRelease },
      file: releaseFile(row.id, number),
    })),
  };
}

const releaseFile = (site: string, number: number): string => `releases/${site}/${number}.json`;

/** All a maker has here, but for the files of it and what releases are made of. */
export async function everythingOf(db: Database, account: string, secret: Buffer): Promise<Everything> {
  const [row] = await db.select().from(accounts).where(eq(accounts.id, account));
  const rows = await db.select().from(sites).where(eq(sites.accountId, account)).orderBy(sites.createdAt);
  const all: SiteWithAll[] = [];
  for (const site of rows) all.push(await siteWithAll(db, site, secret));
  const known: Everything['groups'] = [];
  for (const group of await groupsOf(db, account, secret)) {
    const entries = await entriesOf(db, group.id, secret, new Date());
    known.push({ ...group, entries: entries.map(({ link: _link, pages: _pages, ...entry }) => entry) });
  }
  const gathered = await db
    .select()
    .from(materials)
    .where(eq(materials.accountId, account))
    .orderBy(materials.createdAt, materials.id);
  return {
    account: {
      ...{ name: row?.name ?? '', email: row?.email ?? '' },
      since: (row?.createdAt ?? new Date(0)).toISOString(),
    },
    sites: all,
    groups: known,
    materials: gathered.map(materialOf).map((material) => ({ material, file: fileOf(material) })),
  };
}

/** What a release of a site is made of; null where it has none of that number. */
export async function releaseOf(db: Database, site: string, number: number): Promise<Draft | null> {
  const [row] = await db
    .select({ source: releases.source })
    .from(releases)
    .where(and(eq(releases.siteId, site), eq(releases.number, number)));
  return row ? sourceOf(db, site, row.source) : null;
}
