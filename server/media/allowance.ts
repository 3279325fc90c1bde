import { and, eq, sql, sum } from 'drizzle-orm';
import type { Executor, Transaction } from '../db/connect.ts';
import { accounts, edits, materials, sites } from '../db/schema.ts';
import { Problem } from '../http/problem.ts';

const inMegabytes = (bytes: number): string => `${Math.ceil(bytes / 1024 / 1024)} MB`;

/** Bytes of everything a maker has gathered, in all. */
export async function usedBytes(db: Executor, account: string): Promise<number> {
  const [row] = await db
    .select({ used: sum(materials.bytes) })
    .from(materials)
    .where(eq(materials.accountId, account));
  return Number(row?.used ?? 0);
}

const full = (used: number, most: number, bytes: number): Problem =>
  new Problem(
    413,
    'full',
    `Your materials take ${inMegabytes(used)} of ${inMegabytes(most)}, and this has ${inMegabytes(bytes)}. Delete something in Gather, or save it smaller.`,
  );

/** Refuses early what could not be kept anyway; whether there is room is decided by `takeRoom`. */
export async function expectRoom(db: Executor, account: string, bytes: number, most: number): Promise<void> {
  const used = await usedBytes(db, account);
  if (used + bytes > most) throw full(used, most, bytes);
}

/**
 * Takes room for a new material, in the transaction that adds it: two that arrive at the same moment wait for each other
 * here, so that together they are not more than there is.
 *
 * @throws Problem 413 when there is no room
 */
export async function takeRoom(tx: Transaction, account: string, bytes: number, most: number): Promise<void> {
  await tx.select({ id: accounts.id }).from(accounts).where(eq(accounts.id, account)).for('update');
  await expectRoom(tx, account, bytes, most);
}

/** A step of undo that deleted materials, whose files are kept for it. */
interface Deletion {
  site: string;
  revision: number;
  at: Date;
  bytes: number;
}

/** Steps that deleted materials, the newest first. */
async function deletions(db: Executor, account: string): Promise<Deletion[]> {
  const rows = await db
    .select({
      site: edits.siteId,
      revision: edits.revision,
      at: edits.at,
      bytes: sql<number>`(
        select coalesce(sum((change -> 'before' ->> 'bytes')::bigint), 0)
        from jsonb_array_elements(${edits.changes}) change
        where change ->> 'table' = 'material' and change -> 'after' = 'null'::jsonb
      )`.mapWith(Number),
    })
    .from(edits)
    .innerJoin(sites, eq(sites.id, edits.siteId))
    .where(
      and(eq(sites.accountId, account), sql`${edits.changes} @> '[{"table": "material", "after": null}]'`),
    )
    .orderBy(sql`${edits.revision} desc`);
  return rows;
}

/**
 * Forgets the oldest steps of undo, from the first on whose deleted files are older than they are kept, or take more than
 * the maker may keep in all. What stands before such a step cannot be undone either.
 */
export async function forgetOldDeletions(
  db: Executor,
  account: string,
  { keptMs, mostBytes, now = Date.now() }: { keptMs: number; mostBytes: number; now?: number },
): Promise<void> {
  let bytes = 0;
  for (const step of await deletions(db, account)) {
    bytes += step.bytes;
    if (now - step.at.getTime() <= keptMs && bytes <= mostBytes) continue;
    await db
      .delete(edits)
      .where(and(eq(edits.siteId, step.site), sql`${edits.revision} <= ${step.revision}`));
  }
}
