import { and, asc, count, eq, isNotNull, isNull, lt } from 'drizzle-orm';
import { mostPasses, type PassTerms, passTermsSchema } from '#core/passes/pass.ts';
import { passWindow, windowFault } from '#core/passes/pass-window.ts';
import type { Pass } from '#contract/passes.ts';
import { hashPassword } from '../accounts/password-hash.ts';
import type { Database } from '../db/connect.ts';
import { newId } from '../db/new-id.ts';
import { passes, sites } from '../db/schema.ts';
import { notFound, Problem } from '../http/problem.ts';
import { keyHash, passKey } from './pass-key.ts';

export type PassRow = typeof passes.$inferSelect;

/** What was taken away can be had back for this long, in ms: 30 days. */
const keptMs = 30 * 24 * 60 * 60 * 1000;

/** Columns of what a maker says of a pass, with the instants that come of it. */
function columnsOf(terms: PassTerms) {
  const said = passTermsSchema.parse(terms);
  const window = passWindow(said);
  const fault = windowFault(window);
  if (fault) throw new Problem(422, 'no-window', fault, { field: 'until' });
  return { ...said, ...window };
}

/** A pass as its maker has it. */
export function passOf(row: PassRow, secret: Buffer): Pass {
  const { id, on, opensAt, closesAt, passwordHash } = row;
  const key = passKey(secret, id, row.generation);
  return {
    ...passTermsSchema.parse(row),
    ...{ id, on, hasPassword: passwordHash !== null },
    opensAt: opensAt?.toISOString() ?? null,
    closesAt: closesAt?.toISOString() ?? null,
    // A backup without its secret has links that nobody can tell any more; those who have them can still use them.
    link: keyHash(key) === row.keyHash ? `/p/${key}/` : null,
  };
}

/** A site's passes, the oldest first; without those that were taken away. */
export const passRows = (db: Pick<Database, 'select'>, site: string): Promise<PassRow[]> =>
  db
    .select()
    .from(passes)
    .where(and(eq(passes.siteId, site), isNull(passes.deletedAt)))
    .orderBy(asc(passes.createdAt), asc(passes.id));

/** One of a site's passes; null where it has no such pass, or had it taken away. */
export async function passRow(db: Database, site: string, id: string): Promise<PassRow | null> {
  const [row] = await db
    .select()
    .from(passes)
    .where(and(eq(passes.id, id), eq(passes.siteId, site), isNull(passes.deletedAt)));
  return row ?? null;
}

export interface PassWithSite {
  row: PassRow;
  /** Title of its site. */
  site: string;
}

/** A pass of any of an account's sites; null where it has no such pass, or had it taken away. */
export async function passWithSite(db: Database, account: string, id: string): Promise<PassWithSite | null> {
  const [found] = await db
    .select({ row: passes, site: sites.title })
    .from(passes)
    .innerJoin(sites, eq(sites.id, passes.siteId))
    .where(and(eq(passes.id, id), eq(sites.accountId, account), isNull(passes.deletedAt)));
  return found ?? null;
}

/** @returns the new ones, in the order in which they were asked for */
export async function addPasses(
  db: Database,
  site: string,
  secret: Buffer,
  wanted: readonly (PassTerms & { password: string | null })[],
): Promise<PassRow[]> {
  const at = Date.now();
  const rows: (typeof passes.$inferInsert)[] = [];
  for (const [index, { password, ...terms }] of wanted.entries()) {
    const id = newId();
    rows.push({
      ...columnsOf(terms),
      ...{ id, siteId: site, keyHash: keyHash(passKey(secret, id, 1)) },
      passwordHash: password === null ? null : await hashPassword(password),
      // Those that are made together stay in their order.
      createdAt: new Date(at + index),
    });
  }
  return db.transaction(async (tx) => {
    await tx.select({ id: sites.id }).from(sites).where(eq(sites.id, site)).for('update');
    const [had] = await tx
      .select({ count: count() })
      .from(passes)
      .where(and(eq(passes.siteId, site), isNull(passes.deletedAt)));
    if ((had?.count ?? 0) + rows.length > mostPasses)
      throw new Problem(
        409,
        'too-many-passes',
        `A site has at most ${mostPasses} passes. Take some away that nobody needs any more, or make one for several people.`,
      );
    const made = new Map((await tx.insert(passes).values(rows).returning()).map((row) => [row.id, row]));
    return rows.flatMap(({ id }) => made.get(id) ?? []);
  });
}

interface PassChange {
  terms?: PassTerms | undefined;
  on?: boolean | undefined;
  password?: string | null | undefined;
}

/** @throws Problem 404 where the site has no such pass */
export async function changePassRow(
  db: Database,
  site: string,
  id: string,
  { terms, on, password }: PassChange,
): Promise<PassRow> {
  const change = {
    ...(terms && columnsOf(terms)),
    ...(on !== undefined && { on }),
    ...(password !== undefined && { passwordHash: password === null ? null : await hashPassword(password) }),
  };
  if (Object.keys(change).length === 0) {
    const row = await passRow(db, site, id);
    if (!row) throw notFound('This pass');
    return row;
  }
  const [row] = await db
    .update(passes)
    .set(change)
    .where(and(eq(passes.id, id), eq(passes.siteId, site), isNull(passes.deletedAt)))
    .returning();
  if (!row) throw notFound('This pass');
  return row;
}

/** Gives a pass another key. */
export const renewPassRow = (db: Database, site: string, id: string, secret: Buffer): Promise<PassRow> =>
  db.transaction(async (tx) => {
    const here = and(eq(passes.id, id), eq(passes.siteId, site), isNull(passes.deletedAt));
    const [row] = await tx.select().from(passes).where(here).for('update');
    if (!row) throw notFound('This pass');
    const generation = row.generation + 1;
    const change = { generation, keyHash: keyHash(passKey(secret, id, generation)) };
    const [renewed] = await tx.update(passes).set(change).where(eq(passes.id, id)).returning();
    if (!renewed) throw notFound('This pass');
    return renewed;
  });

/** Takes a pass away, and forgets those that were taken away long ago. */
export async function removePassRow(db: Database, site: string, id: string): Promise<void> {
  const now = new Date();
  await db
    .delete(passes)
    .where(and(isNotNull(passes.deletedAt), lt(passes.deletedAt, new Date(now.getTime() - keptMs))));
  await db
    .update(passes)
    .set({ deletedAt: now })
    .where(and(eq(passes.id, id), eq(passes.siteId, site), isNull(passes.deletedAt)));
}

/** Brings a pass back, switched off: opening it again is a step of its own. */
export async function restorePassRow(db: Database, site: string, id: string): Promise<PassRow> {
  const [row] = await db
    .update(passes)
    .set({ deletedAt: null, on: false })
    .where(and(eq(passes.id, id), eq(passes.siteId, site), isNotNull(passes.deletedAt)))
    .returning();
  if (!row) throw notFound('This pass');
  return row;
}
