import { and, count, eq, sql } from 'drizzle-orm';
import type { joinClass } from '#contract/hand-ins.ts';
import type { z } from 'zod';
import type { ClassTerms } from '#core/groups/group.ts';
import { mostPeople } from '#core/groups/group.ts';
import { handInTermsSchema } from '#core/hand-ins/hand-in.ts';
import { passTermsSchema } from '#core/passes/pass.ts';
import type { Database } from '../db/connect.ts';
import { newId } from '../db/new-id.ts';
import { classEntries, groups, handIns, sites } from '../db/schema.ts';
import { addHandIn, handInRow } from '../hand-ins/hand-in-rows.ts';
import { isNotUnique } from '../db/not-unique.ts';
import { notFound, Problem } from '../http/problem.ts';
import { addPasses, removePassRow } from '../passes/pass-rows.ts';
import type { GroupRow } from './group-rows.ts';

/** The same of a link that never was, is over, or was made anew. */
export const nobodyJoins = () =>
  new Problem(
    404,
    'no-class',
    'Nobody joins a class by this link. It may be over, or there is a newer one: ask whoever gave it to you.',
  );

/** Sites of an account that joined a group. */
export async function sitesIn(db: Database, group: string, account: string): Promise<string[]> {
  const rows = await db
    .select({ site: sites.id })
    .from(classEntries)
    .innerJoin(sites, eq(sites.id, classEntries.siteId))
    .where(and(eq(classEntries.groupId, group), eq(sites.accountId, account)));
  return rows.map(({ site }) => site);
}

const joinedAlready = () =>
  new Problem(409, 'joined', 'This site has joined the class already. It stands in your hand-ins.');

type Wanted = Omit<z.output<typeof joinClass.body>, 'key'>;

/**
 * Lets a site join a class: with a pass made for it alone, and a hand-in by that pass.
 *
 * @throws Problem 409 where it has joined already, or the class is full
 */
export async function joinClassRow(
  db: Database,
  site: string,
  group: GroupRow & { classPage: ClassTerms },
  { name, opens, mayComment, keeps }: Wanted,
  secret: Buffer,
): Promise<void> {
  const { by, due, timeZone } = group.classPage;
  const [had] = await db
    .select({
      all: count(),
      here: sql<number>`(count(*) filter (where ${classEntries.siteId} = ${site}))::int`,
    })
    .from(classEntries)
    .where(eq(classEntries.groupId, group.id));
  if ((had?.here ?? 0) > 0) throw joinedAlready();
  if ((had?.all ?? 0) >= mostPeople)
    throw new Problem(409, 'full', `A class takes at most ${mostPeople} sites. Ask whoever leads it.`);
  const label = group.name.slice(0, 80);
  const [pass] = await addPasses(db, site, secret, [
    {
      ...passTermsSchema.parse({ label, forWhom: `${by}, for the class`, opens, mayComment, timeZone }),
      password: null,
    },
  ]);
  if (!pass) throw notFound('This pass');
  let made: string | null = null;
  try {
    made = await addHandIn(
      db,
      site,
      handInTermsSchema.parse({
        ...{ what: group.name, forWhom: by, due, timeZone, keeps },
        by: { kind: 'pass', pass: pass.id },
      }),
    );
    await db.insert(classEntries).values({
      ...{ id: newId(), groupId: group.id, siteId: site, handInId: made, passId: pass.id },
      ...{ className: group.name, by, name: name.trim() },
    });
  } catch (error) {
    // Nothing half done stays behind.
    await removePassRow(db, site, pass.id);
    if (made !== null) await db.delete(handIns).where(eq(handIns.id, made));
    throw isNotUnique(error) ? joinedAlready() : error;
  }
}

/** Writes down which lines of a class's list its maker says are done, and whether what it asked for is. */
export async function tellClassRow(
  db: Database,
  site: string,
  handIn: string,
  { ticked, done }: { ticked?: string[] | undefined; done?: boolean | undefined },
  now: Date,
): Promise<void> {
  await handInRow(db, site, handIn);
  const [row] = await db
    .select({ id: classEntries.id, list: groups.list })
    .from(classEntries)
    .leftJoin(groups, eq(groups.id, classEntries.groupId))
    .where(and(eq(classEntries.handInId, handIn), eq(classEntries.siteId, site)));
  if (!row) throw notFound('This class');
  const known = new Set(row.list?.lines.map(({ id }) => id));
  const change = {
    // Of lines that are none of the class's list it learns nothing.
    ...(ticked && { ticked: ticked.filter((id) => known.has(id)) }),
    ...(done !== undefined && { askedDoneAt: done ? now : null }),
  };
  if (Object.keys(change).length > 0)
    await db.update(classEntries).set(change).where(eq(classEntries.id, row.id));
}
