import { and, asc, count, eq, isNotNull, isNull, lt, sql } from 'drizzle-orm';
import type { Group } from '#contract/groups.ts';
import { instantOf } from '#core/dates/local-time.ts';
import { type ClassTerms, type GroupTerms, groupTermsSchema, mostGroups } from '#core/groups/group.ts';
import type { Database } from '../db/connect.ts';
import { newId } from '../db/new-id.ts';
import { accounts, classEntries, groups, handIns } from '../db/schema.ts';
import { notFound, Problem } from '../http/problem.ts';
import { keyHash } from '../passes/pass-key.ts';
import { classKey, classPath } from './class-key.ts';

export type GroupRow = typeof groups.$inferSelect;

/** What was taken away can be had back for this long, in ms: 30 days. */
const keptMs = 30 * 24 * 60 * 60 * 1000;

const own = (account: string, id: string) =>
  and(eq(groups.id, id), eq(groups.accountId, account), isNull(groups.deletedAt));

/** The instant at which what a class asks for is due; null: at none. One that comes twice is due at the second. */
export const dueOf = ({ due, timeZone }: ClassTerms): Date | null =>
  due === null ? null : instantOf(due, timeZone, 'last');

/** A group as its maker has it. */
export function groupOf(row: GroupRow, secret: Buffer, counts: { joined: number; handedIn: number }): Group {
  const { id, revision, classPage, generation, endedAt } = row;
  const key = classKey(secret, id, generation);
  return {
    ...groupTermsSchema.parse(row),
    ...{ id, revision },
    classPage: classPage && {
      ...classPage,
      dueAt: dueOf(classPage)?.toISOString() ?? null,
      // A backup without its secret has links that nobody can tell any more.
      link: endedAt === null && keyHash(key) === row.keyHash ? classPath(key) : null,
      endedAt: endedAt?.toISOString() ?? null,
      ...counts,
    },
  };
}

/** Names of everybody in an account's groups. */
export async function peopleOf(db: Database, account: string): Promise<string[]> {
  const rows = await db
    .select({ people: groups.people })
    .from(groups)
    .where(and(eq(groups.accountId, account), isNull(groups.deletedAt)));
  return rows.flatMap(({ people }) => people.map(({ name }) => name));
}

/** An account's groups, the oldest first. */
export async function groupsOf(db: Database, account: string, secret: Buffer): Promise<Group[]> {
  const rows = await db
    .select()
    .from(groups)
    .where(and(eq(groups.accountId, account), isNull(groups.deletedAt)))
    .orderBy(asc(groups.createdAt), asc(groups.id));
  const many = await db
    .select({ group: classEntries.groupId, joined: count(), handedIn: count(handIns.handedAt) })
    .from(classEntries)
    .innerJoin(groups, eq(groups.id, classEntries.groupId))
    .innerJoin(handIns, eq(handIns.id, classEntries.handInId))
    .where(eq(groups.accountId, account))
    .groupBy(classEntries.groupId);
  const none = { joined: 0, handedIn: 0 };
  return rows.map((row) => {
    const { joined, handedIn } = many.find(({ group }) => group === row.id) ?? none;
    return groupOf(row, secret, { joined, handedIn });
  });
}

/** One of an account's groups. @throws Problem 404 where it has no such group, or had it taken away */
export async function ownGroup(db: Database, account: string, id: string): Promise<GroupRow> {
  const [row] = await db.select().from(groups).where(own(account, id));
  if (!row) throw notFound('This group');
  return row;
}

/** @returns its id @throws Problem 409 where an account has as many as it can have */
export const addGroup = (db: Database, account: string, terms: GroupTerms): Promise<string> =>
  db.transaction(async (tx) => {
    await tx.select({ id: accounts.id }).from(accounts).where(eq(accounts.id, account)).for('update');
    const [had] = await tx
      .select({ count: count() })
      .from(groups)
      .where(and(eq(groups.accountId, account), isNull(groups.deletedAt)));
    if ((had?.count ?? 0) >= mostGroups)
      throw new Problem(409, 'too-many', `You can have at most ${mostGroups} groups. Take one away first.`);
    const id = newId();
    await tx.insert(groups).values({ id, accountId: account, ...terms });
    return id;
  });

/** @throws Problem 409 where it was changed since `seen`: two windows must not write over each other */
export async function changeGroupRow(
  db: Database,
  account: string,
  id: string,
  seen: number,
  terms: GroupTerms,
): Promise<void> {
  const changed = await db
    .update(groups)
    .set({ ...terms, revision: sql`${groups.revision} + 1` })
    .where(and(own(account, id), eq(groups.revision, seen)))
    .returning({ id: groups.id });
  if (changed.length > 0) return;
  await ownGroup(db, account, id);
  throw new Problem(
    409,
    'changed-meanwhile',
    'This group was changed in another window meanwhile. Copy what you wrote, and reload the page.',
  );
}

/** Takes a group away, and forgets those that were taken away long ago. */
export async function removeGroupRow(db: Database, account: string, id: string, now: Date): Promise<void> {
  await db
    .delete(groups)
    .where(and(isNotNull(groups.deletedAt), lt(groups.deletedAt, new Date(now.getTime() - keptMs))));
  await ownGroup(db, account, id);
  await db.update(groups).set({ deletedAt: now }).where(own(account, id));
}

export async function restoreGroupRow(db: Database, account: string, id: string): Promise<void> {
  const [row] = await db
    .update(groups)
    .set({ deletedAt: null })
    .where(and(eq(groups.id, id), eq(groups.accountId, account), isNotNull(groups.deletedAt)))
    .returning({ id: groups.id });
  if (!row) throw notFound('This group');
}
