import { and, eq, sql } from 'drizzle-orm';
import { createHash } from 'node:crypto';
import type { Draft } from '#core/sites/site.ts';
import { draftFromPieces, draftToPieces, type KeptDraft, namesIn } from '#core/stored/draft-pieces.ts';
import type { Executor, Transaction } from './connect.ts';
import { releasePieces, releases } from './schema.ts';

const nameOf = (text: string): string => createHash('sha256').update(text).digest('base64url');

/** Whether a piece of the site is among these, told by one list and not by thousands of parameters. */
const isNamed = (site: string, names: readonly string[]) =>
  and(
    eq(releasePieces.siteId, site),
    sql`${releasePieces.name} in (select jsonb_array_elements_text(${JSON.stringify(names)}::jsonb))`,
  );

/**
 * Keeps what a release is made of; what another release of the site has as well is there already.
 *
 * @returns what to write into the release's row
 */
export async function keepSource(tx: Transaction, draft: Draft): Promise<KeptDraft> {
  const site = draft.site.id;
  const { kept, pieces } = draftToPieces(draft, nameOf);
  const there = await tx
    .select({ name: releasePieces.name })
    .from(releasePieces)
    .where(
      isNamed(
        site,
        pieces.map(({ name }) => name),
      ),
    );
  const known = new Set(there.map(({ name }) => name));
  const fresh = pieces.filter(({ name }) => !known.has(name));
  for (let from = 0; from < fresh.length; from += 500)
    await tx
      .insert(releasePieces)
      .values(fresh.slice(from, from + 500).map((piece) => ({ ...piece, siteId: site })))
      .onConflictDoNothing();
  return kept;
}

/**
 * What a release is made of. A release and its pieces are never changed, so that it does not matter what happens between
 * reading its row and this.
 *
 * @throws Unreadable where a newer version kept it
 */
export async function sourceOf(db: Executor, site: string, kept: KeptDraft): Promise<Draft> {
  const pieces = new Map<string, object>();
  const read = async (names: readonly string[]) => {
    if (names.length === 0) return;
    for (const { name, content } of await db
      .select({ name: releasePieces.name, content: releasePieces.content })
      .from(releasePieces)
      .where(isNamed(site, names)))
      pieces.set(name, content);
  };
  const listedIn = (list: 'run' | 'parts') =>
    [...pieces.values()].flatMap((piece) =>
      namesIn((piece as Partial<Record<typeof list, unknown[]>>)[list]),
    );
  await read([...namesIn(kept.pages), ...namesIn(kept.materials)]);
  if (kept.runs) await read(listedIn('run'));
  await read(listedIn('parts'));
  return draftFromPieces(kept, pieces);
}

/** Whether any release ever held a page. */
export async function wasReleased(db: Executor, site: string, page: string): Promise<boolean> {
  const [piece] = await db
    .select({ name: releasePieces.name })
    .from(releasePieces)
    .where(and(eq(releasePieces.siteId, site), eq(releasePieces.thing, page)))
    .limit(1);
  if (piece) return true;
  // Releases of versions that knew no pieces.
  const [release] = await db
    .select({ id: releases.id })
    .from(releases)
    .where(
      and(
        eq(releases.siteId, site),
        sql`${releases.source} -> 'pages' @> ${JSON.stringify([{ id: page }])}::jsonb`,
      ),
    )
    .limit(1);
  return release !== undefined;
}
