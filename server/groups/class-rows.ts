import { and, asc, eq, inArray, isNull } from 'drizzle-orm';
import type { ClassEntry } from '#contract/groups.ts';
import { reaches } from '#core/access/height.ts';
import { openPages } from '#core/access/open-pages.ts';
import { type LetterGivenBack, letterOf, type Returned } from '#core/groups/given-back.ts';
import type { ClassTerms } from '#core/groups/group.ts';
import { passState } from '#core/passes/pass-state.ts';
import type { Database, Transaction } from '../db/connect.ts';
import { accounts, classEntries, groups, handIns, passes, sites } from '../db/schema.ts';
import { notFound, Problem } from '../http/problem.ts';
import { keyHash } from '../passes/pass-key.ts';
import { hadOf } from '../sites/had-now.ts';
import type { SiteRow } from '../sites/load-draft.ts';
import { aroundLinks, readersOf } from '../sites/readers-of-link.ts';
import { classKey } from './class-key.ts';
import { askedOf, type EntryRow, givenBackOf } from './entry-words.ts';
import { dueOf, type GroupRow, ownGroup } from './group-rows.ts';

/**
 * Opens the class page of a group or changes what it says. One that was ended opens again by a new link; what its end closed stays
 * closed.
 */
export async function openClassRow(
  db: Database,
  group: GroupRow,
  terms: ClassTerms,
  secret: Buffer,
): Promise<void> {
  const isNew = group.classPage === null || group.endedAt !== null;
  const generation = isNew && group.classPage !== null ? group.generation + 1 : group.generation;
  await db.transaction(async (tx) => {
    await tx
      .update(groups)
      .set({
        ...{ classPage: terms, endedAt: null, generation },
        ...(isNew && { keyHash: keyHash(classKey(secret, group.id, generation)) }),
      })
      .where(eq(groups.id, group.id));
    if (group.classPage) await moveDue(tx, group.id, group.classPage, terms);
  });
}

/** Moves when a class's hand-ins are due, of those whose makers have it as the class said it. */
async function moveDue(tx: Transaction, group: string, before: ClassTerms, terms: ClassTerms): Promise<void> {
  if (before.due === terms.due && before.timeZone === terms.timeZone) return;
  const had = dueOf(before);
  await tx
    .update(handIns)
    .set({ due: terms.due, timeZone: terms.timeZone, dueAt: dueOf(terms) })
    .where(
      and(
        inArray(
          handIns.id,
          tx.select({ id: classEntries.handInId }).from(classEntries).where(eq(classEntries.groupId, group)),
        ),
        had === null ? isNull(handIns.dueAt) : eq(handIns.dueAt, had),
      ),
    );
}

export async function renewClassRow(db: Database, group: GroupRow, secret: Buffer): Promise<void> {
  if (group.classPage === null || group.endedAt !== null) throw notFound('This class page');
  const generation = group.generation + 1;
  await db
    .update(groups)
    .set({ generation, keyHash: keyHash(classKey(secret, group.id, generation)) })
    .where(eq(groups.id, group.id));
}

/** The class that somebody joins by a key; null of any key by which nobody does. */
export async function classAtKey(
  db: Database,
  key: string,
): Promise<(GroupRow & { classPage: ClassTerms }) | null> {
  const [found] = await db
    .select({ group: groups })
    .from(groups)
    .innerJoin(accounts, eq(accounts.id, groups.accountId))
    .where(
      and(
        eq(groups.keyHash, keyHash(key)),
        isNull(groups.deletedAt),
        isNull(groups.endedAt),
        // Whoever leaves the server takes nothing in any more.
        isNull(accounts.leavesAt),
      ),
    );
  const group = found?.group;
  return group?.classPage ? { ...group, classPage: group.classPage } : null;
}

/** Where the pass of a class leads, and how many pages whoever has it gets by it now. */
async function classLink(
  db: Database,
  site: SiteRow,
  pass: string,
  secret: Buffer,
  now: Date,
): Promise<{ link: string | null; pages: number }> {
  const all = await aroundLinks(db, site, secret);
  const readers = readersOf({ kind: 'pass', pass }, all);
  if (!readers?.pass || readers.link === null) return { link: null, pages: 0 };
  const { link, viewer, pass: row } = readers;
  const had = row.pinned === null ? all.now : ((await hadOf(db, site, row.pinned))?.now ?? null);
  if (passState(row, now) !== 'open' || !had || !reaches(had.site.height, 'invited'))
    return { link, pages: 0 };
  return { link, pages: openPages(had, viewer)?.pages.length ?? 0 };
}

/** Who joined a class, in the order in which they did. Of a site that was not handed in yet nothing is told but that. */
export async function entriesOf(
  db: Database,
  group: string,
  secret: Buffer,
  now: Date,
): Promise<ClassEntry[]> {
  const rows = await db
    .select({ entry: classEntries, handedAt: handIns.handedAt, site: sites, leavesAt: accounts.leavesAt })
    .from(classEntries)
    .innerJoin(handIns, eq(handIns.id, classEntries.handInId))
    .innerJoin(sites, eq(sites.id, classEntries.siteId))
    .innerJoin(accounts, eq(accounts.id, sites.accountId))
    .where(eq(classEntries.groupId, group))
    .orderBy(asc(classEntries.createdAt), asc(classEntries.id));
  const told: ClassEntry[] = [];
  for (const { entry, handedAt, site, leavesAt } of rows) {
    const isOpen = handedAt !== null && entry.endedAt === null && entry.passId !== null && leavesAt === null;
    const at = isOpen ? await classLink(db, site, entry.passId ?? '', secret, now) : { link: null, pages: 0 };
    told.push({
      ...{ id: entry.id, name: entry.name, joinedAt: entry.createdAt.toISOString() },
      ...{ handedAt: handedAt?.toISOString() ?? null, ...at },
      ticked: handedAt === null ? null : entry.ticked,
      endedAt: entry.endedAt?.toISOString() ?? null,
      asked: askedOf(entry),
      writing: entry.writing,
      givenBack: givenBackOf(entry),
    });
  }
  return told;
}

/** @throws Problem 404 where nobody of that id joined the group */
async function entryOf(db: Database, group: string, id: string): Promise<EntryRow> {
  const [row] = await db
    .select()
    .from(classEntries)
    .where(and(eq(classEntries.id, id), eq(classEntries.groupId, group)));
  if (!row) throw notFound('This hand-in');
  return row;
}

/** @returns whose site it is */
export async function askEntry(
  db: Database,
  group: string,
  id: string,
  words: string,
  now: Date,
): Promise<string> {
  const { siteId, endedAt } = await entryOf(db, group, id);
  if (endedAt)
    throw new Problem(
      409,
      'ended',
      'Its sharing with the class is over, so nothing is asked of it any more.',
    );
  await db
    .update(classEntries)
    .set({ asked: words, askedAt: now, askedDoneAt: null })
    .where(eq(classEntries.id, id));
  return siteId;
}

/**
 * Ends the class's own sharing: switches off the pass that was made for it. Whatever else opens a site is its maker's, and stays.
 *
 * @param only one that joined; all of them where none is named
 * @returns the sites of which something is closed now
 */
export const endSharing = (db: Database, group: string, now: Date, only?: string): Promise<string[]> =>
  db.transaction(async (tx) => {
    const of = and(
      eq(classEntries.groupId, group),
      isNull(classEntries.endedAt),
      only === undefined ? undefined : eq(classEntries.id, only),
    );
    const ended = await tx.update(classEntries).set({ endedAt: now }).where(of).returning();
    for (const { passId } of ended)
      if (passId !== null) await tx.update(passes).set({ on: false }).where(eq(passes.id, passId));
    if (only === undefined) await tx.update(groups).set({ endedAt: now }).where(eq(groups.id, group));
    return ended.map(({ siteId }) => siteId);
  });

/** Ends the sharing of one site with a class. */
export async function endEntrySharing(db: Database, group: string, id: string, now: Date): Promise<string[]> {
  await entryOf(db, group, id);
  return endSharing(db, group, now, id);
}

/** Ends a class page with all that was shared with it. */
export async function endClassRow(
  db: Database,
  account: string,
  group: string,
  now: Date,
): Promise<string[]> {
  const row = await ownGroup(db, account, group);
  if (row.classPage === null) throw notFound('This class page');
  return row.endedAt === null ? endSharing(db, group, now) : [];
}

/** Keeps what is being written to somebody. */
export async function keepWriting(
  db: Database,
  group: string,
  id: string,
  returned: Returned,
): Promise<void> {
  await entryOf(db, group, id);
  await db.update(classEntries).set({ writing: returned }).where(eq(classEntries.id, id));
}

/** Gives what was written back as one letter. @returns whose site it is @throws Problem 422 where nothing was written */
export async function giveBack(
  db: Database,
  { id: group, list }: GroupRow,
  id: string,
  returned: Returned,
  now: Date,
): Promise<string> {
  const { siteId, endedAt } = await entryOf(db, group, id);
  const letter: LetterGivenBack = letterOf(list, returned);
  if (letter.lines.length === 0 && letter.words === '')
    throw new Problem(422, 'nothing-said', 'Say something of a line or of the whole first.');
  if (endedAt)
    throw new Problem(409, 'ended', 'Its sharing with the class is over, so nothing is given back any more.');
  await db
    .update(classEntries)
    .set({ writing: returned, givenBack: letter, givenBackAt: now })
    .where(eq(classEntries.id, id));
  return siteId;
}
