import { and, count, desc, eq, isNull } from 'drizzle-orm';
import type { SecondLook } from '#contract/second-looks.ts';
import type { FileTree } from '#core/release/manifest.ts';
import { isOpen } from '#core/second-look/look-state.ts';
import { type LookAnswers, mostSecondLooks, type SecondLookTerms } from '#core/second-look/second-look.ts';
import { isOfOneWhoStays } from '../accounts/leaving-rows.ts';
import type { Database } from '../db/connect.ts';
import { newId } from '../db/new-id.ts';
import { secondLooks, sites } from '../db/schema.ts';
import { notFound, Problem } from '../http/problem.ts';
import { keyHash } from '../passes/pass-key.ts';
import { lookKey, lookPath } from './look-key.ts';

export type LookRow = typeof secondLooks.$inferSelect;
/** Without the files, of which there may be thousands. */
export type LookHead = Omit<LookRow, 'tree'>;

const dayMs = 24 * 60 * 60 * 1000;
const { tree: _tree, ...head } = {
  ...{ id: secondLooks.id, siteId: secondLooks.siteId, who: secondLooks.who, as: secondLooks.as },
  ...{ lines: secondLooks.lines, answers: secondLooks.answers, keyHash: secondLooks.keyHash },
  ...{ endsAt: secondLooks.endsAt, endedAt: secondLooks.endedAt, answeredAt: secondLooks.answeredAt },
  ...{ createdAt: secondLooks.createdAt, stamp: secondLooks.stamp, tree: secondLooks.tree },
};

/** A second look as its maker has it. */
export function lookOf(row: LookHead, secret: Buffer, now: Date): SecondLook {
  const { id, who, as, lines, answers, endsAt, answeredAt } = row;
  const key = lookKey(secret, id);
  return {
    ...{ id, who, as, lines, answers },
    // A backup without its secret has links that nobody can tell any more.
    link: isOpen(row, now) && keyHash(key) === row.keyHash ? lookPath(key) : null,
    endsAt: endsAt.toISOString(),
    answeredAt: answeredAt?.toISOString() ?? null,
  };
}

/** A site's second looks, the newest first. */
export const lookRows = (db: Database, site: string): Promise<LookHead[]> =>
  db
    .select(head)
    .from(secondLooks)
    .where(eq(secondLooks.siteId, site))
    .orderBy(desc(secondLooks.createdAt), desc(secondLooks.id));

/** One by the hash of its key, whether it is open or not; null for none, and for one of somebody who leaves. */
export async function lookAtKey(
  db: Database,
  hash: string,
): Promise<{ look: LookHead; account: string } | null> {
  const [found] = await db
    .select({ look: head, account: sites.accountId })
    .from(secondLooks)
    .innerJoin(sites, eq(sites.id, secondLooks.siteId))
    .where(and(eq(secondLooks.keyHash, hash), isOfOneWhoStays));
  return found ?? null;
}

export function addLook(
  db: Database,
  site: string,
  secret: Buffer,
  { who, as, lines }: SecondLookTerms,
  days: number,
  now: Date,
): Promise<void> {
  const id = newId();
  return db.transaction(async (tx) => {
    await tx.select({ id: sites.id }).from(sites).where(eq(sites.id, site)).for('update');
    const [had] = await tx.select({ count: count() }).from(secondLooks).where(eq(secondLooks.siteId, site));
    if ((had?.count ?? 0) >= mostSecondLooks)
      throw new Problem(
        409,
        'too-many-looks',
        `At most ${mostSecondLooks} second looks are kept. Delete one that you have read.`,
      );
    await tx.insert(secondLooks).values({
      ...{ id, siteId: site, who: who.trim(), as, lines, keyHash: keyHash(lookKey(secret, id)) },
      endsAt: new Date(now.getTime() + days * dayMs),
      createdAt: now,
    });
  });
}

/** @throws Problem 404 where the site has no such second look */
export async function endLook(db: Database, site: string, id: string, now: Date): Promise<void> {
  const here = and(eq(secondLooks.siteId, site), eq(secondLooks.id, id));
  const [row] = await db.select({ id: secondLooks.id }).from(secondLooks).where(here);
  if (!row) throw notFound('This second look');
  await db
    .update(secondLooks)
    .set({ endedAt: now, stamp: null, tree: null })
    .where(and(here, isNull(secondLooks.endedAt)));
}

/** @throws Problem 404 where the site has no such second look */
export async function removeLook(db: Database, site: string, id: string): Promise<void> {
  const gone = await db
    .delete(secondLooks)
    .where(and(eq(secondLooks.siteId, site), eq(secondLooks.id, id)))
    .returning({ id: secondLooks.id });
  if (gone.length === 0) throw notFound('This second look');
}

/** The files that were made of the draft when it was last looked at; null where it is another one now. */
export async function treeOfLook(db: Database, id: string, stamp: string): Promise<FileTree | null> {
  const [row] = await db
    .select({ tree: secondLooks.tree })
    .from(secondLooks)
    .where(and(eq(secondLooks.id, id), eq(secondLooks.stamp, stamp)));
  return row?.tree ?? null;
}

export const keepTree = (db: Database, id: string, stamp: string, tree: FileTree) =>
  db
    .update(secondLooks)
    .set({ stamp, tree })
    .where(and(eq(secondLooks.id, id), isNull(secondLooks.endedAt)));

/**
 * Lays what was sent over what was said by then, whoever said it.
 *
 * @param after what is said afterwards; null: nothing is to be kept
 */
export const keepAnswers = (
  db: Database,
  id: string,
  now: Date,
  after: (before: LookAnswers) => LookAnswers | null,
): Promise<void> =>
  db.transaction(async (tx) => {
    const here = eq(secondLooks.id, id);
    const [row] = await tx
      .select({ answers: secondLooks.answers, endsAt: secondLooks.endsAt, endedAt: secondLooks.endedAt })
      .from(secondLooks)
      .where(here)
      .for('update');
    if (!row || !isOpen(row, now)) return;
    const answers = after(row.answers);
    if (answers) await tx.update(secondLooks).set({ answers, answeredAt: now }).where(here);
  });
