import { and, eq, isNull } from 'drizzle-orm';
import { randomInt } from 'node:crypto';
import { type GivenLink, givenLinkName } from '#core/access/given-link.ts';
import { newShortCode } from '#core/codes/short-code.ts';
import type { Database } from '../db/connect.ts';
import { passes, shortCodes, sites } from '../db/schema.ts';
import { Problem } from '../http/problem.ts';
import { passOf } from '../passes/pass-rows.ts';

/** So often another code is tried where one is taken. */
const mostTries = 20;

const isOf = (link: GivenLink) => (row: { link: GivenLink }) =>
  givenLinkName(row.link) === givenLinkName(link);

/** The short code of a link; null where it has none. */
export async function shortCodeOf(db: Database, site: string, link: GivenLink): Promise<string | null> {
  const rows = await db.select().from(shortCodes).where(eq(shortCodes.siteId, site));
  return rows.find(isOf(link))?.code ?? null;
}

/** Gives a link a short code, where it has none yet. */
export async function giveShortCode(db: Database, site: string, link: GivenLink): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.select({ id: sites.id }).from(sites).where(eq(sites.id, site)).for('update');
    const rows = await tx.select().from(shortCodes).where(eq(shortCodes.siteId, site));
    if (rows.some(isOf(link))) return;
    for (let tried = 0; tried < mostTries; tried++) {
      const [made] = await tx
        .insert(shortCodes)
        .values({ code: newShortCode((most) => randomInt(most)), siteId: site, link })
        .onConflictDoNothing()
        .returning();
      if (made) return;
    }
    throw new Problem(503, 'no-code', 'No free short code was found. Try again.');
  });
}

export async function takeShortCode(db: Database, site: string, link: GivenLink): Promise<void> {
  const code = await shortCodeOf(db, site, link);
  if (code !== null)
    await db.delete(shortCodes).where(and(eq(shortCodes.code, code), eq(shortCodes.siteId, site)));
}

/**
 * Why a link has no short code; null where it may have one. A code of a few letters can be guessed: what nobody may open who was not
 * given its link is never behind one, whatever was the case when the code was made.
 */
export function noShortBecause(link: GivenLink, pass: { passwordHash: string | null } | null): string | null {
  if (link.kind === 'address') return null;
  if (link.kind === 'pass')
    return pass?.passwordHash
      ? null
      : 'A short code can be guessed, so it leads to a pass only where that asks for a password. Give the pass one first.';
  return 'A short code can be guessed, so none leads to a link that is only for those who have it. Print its QR code.';
}

/** The path that a code leads to now; null where it leads nowhere. */
export async function pathOfShortCode(db: Database, code: string, secret: Buffer): Promise<string | null> {
  const [row] = await db
    .select({ link: shortCodes.link, site: sites })
    .from(shortCodes)
    .innerJoin(sites, eq(sites.id, shortCodes.siteId))
    .where(eq(shortCodes.code, code));
  if (!row) return null;
  if (row.link.kind === 'address') return row.site.address === null ? null : `/${row.site.address}/`;
  if (row.link.kind !== 'pass') return null;
  const [pass] = await db
    .select()
    .from(passes)
    .where(and(eq(passes.id, row.link.pass), eq(passes.siteId, row.site.id), isNull(passes.deletedAt)));
  return pass && noShortBecause(row.link, pass) === null ? passOf(pass, secret).link : null;
}
