import { and, eq } from 'drizzle-orm';
import type { Page } from '#core/content/page.ts';
import { newKey } from '../new-id.ts';
import { linkKeys, pages } from '../schema.ts';
import type { FieldDelta } from './field-delta.ts';
import { partsDelta } from './parts-delta.ts';
import type { RowKind } from './row-kind.ts';

export const pageOf = ({ siteId: _site, revision: _revision, ...page }: typeof pages.$inferSelect): Page =>
  page;

/** A page of the site, with a link of its own from the start. */
export const pageRow: RowKind<Page> = {
  ownRevision: true,
  deltas: { parts: partsDelta as FieldDelta<Page['parts']> },
  read: async (tx, scope, id) => {
    const [row] = await tx
      .select()
      .from(pages)
      .where(and(eq(pages.id, id), eq(pages.siteId, scope.site)))
      .for('update');
    return row ? { row: pageOf(row), revision: row.revision } : null;
  },
  insert: async (tx, scope, page, revision) => {
    await tx.insert(pages).values({ ...page, siteId: scope.site, revision });
    // Brought back by an undo, it has its old link.
    await tx
      .insert(linkKeys)
      .values({ thing: page.id, siteId: scope.site, key: newKey() })
      .onConflictDoNothing();
  },
  update: async (tx, _scope, _before, after, revision) => {
    await tx
      .update(pages)
      .set({ ...after, revision })
      .where(eq(pages.id, after.id));
  },
  remove: async (tx, id) => {
    await tx.delete(pages).where(eq(pages.id, id));
  },
};
