import { and, count, desc, eq, isNull, lt, ne, sql } from 'drizzle-orm';
import type { Box, Received } from '#contract/messages.ts';
import type { CommentMails } from '#core/comments/comment.ts';
import type { Message } from '#core/messages/message.ts';
import type { Database } from '../db/connect.ts';
import { accounts, messages, pages, parts, sites } from '../db/schema.ts';

/** A box holds this many messages; what is deleted does not count. */
const mostKept = 1000;
/** Deleted messages can be had back this long, in ms: 30 days. */
const deletedKeptMs = 30 * 24 * 60 * 60 * 1000;

/** What a site's box takes in. */
export interface Arriving extends Message {
  /** The same for the same message, however often it is sent. */
  id: string;
  site: string;
  /** The form on its page: the id of a part, or of none. */
  place: string;
}

/**
 * Puts a message into the box of a site's maker, once: the same one a second time changes nothing.
 *
 * @param sendsMail whether a copy can go by mail
 * @returns whether it is in the box now; 'full' where no more fit
 */
export async function putIn(
  db: Database,
  { site, place, ...message }: Arriving,
  sendsMail: boolean,
): Promise<'there' | 'full'> {
  return db.transaction(async (tx) => {
    const [maker] = await tx
      .select({ id: accounts.id, copies: accounts.copies, confirmedAt: accounts.confirmedAt })
      .from(sites)
      .innerJoin(accounts, eq(accounts.id, sites.accountId))
      .where(eq(sites.id, site));
    if (!maker) return 'full';
    const [lying] = await tx
      .select({ many: count() })
      .from(messages)
      .where(and(eq(messages.accountId, maker.id), isNull(messages.deletedAt), ne(messages.id, message.id)));
    if ((lying?.many ?? 0) >= mostKept) return 'full';
    const [on] = await tx
      .select({ title: pages.title })
      .from(parts)
      .innerJoin(pages, and(eq(pages.id, parts.pageId), eq(pages.siteId, parts.siteId)))
      .where(and(eq(parts.siteId, site), eq(parts.id, place)));
    await tx
      .insert(messages)
      .values({
        ...message,
        ...{ accountId: maker.id, siteId: site, page: on?.title ?? '' },
        // To an address that nobody has shown to be theirs nothing is sent that readers wrote.
        mailNext: sendsMail && maker.copies && maker.confirmedAt ? new Date() : null,
      })
      .onConflictDoNothing();
    return 'there';
  });
}

const mailedOf = (row: typeof messages.$inferSelect): Received['mailed'] =>
  row.mailedAt ? 'yes' : row.mailNext ? 'not-yet' : row.mailTries > 0 ? 'failed' : 'no';

/** All that lies in a maker's box, and what was deleted of late. */
export async function boxOf(db: Database, account: string, sendsMail: boolean): Promise<Box> {
  const [maker] = await db
    .select({
      to: accounts.email,
      on: accounts.copies,
      comments: accounts.commentMails,
      confirmed: sql<boolean>`${accounts.confirmedAt} is not null`,
    })
    .from(accounts)
    .where(eq(accounts.id, account));
  const rows = await db
    .select({ message: messages, title: sites.title })
    .from(messages)
    .innerJoin(sites, eq(sites.id, messages.siteId))
    .where(eq(messages.accountId, account))
    .orderBy(desc(messages.createdAt), desc(messages.id));
  return {
    sendsMail,
    copies: maker ?? { to: '', on: false, confirmed: false, comments: 'none' },
    messages: rows.map(({ message, title }) => ({
      id: message.id,
      site: { id: message.siteId, title },
      page: message.page,
      name: message.name,
      from: message.from,
      words: message.words,
      at: message.createdAt.toISOString(),
      read: message.readAt !== null,
      deleted: message.deletedAt !== null,
      mailed: mailedOf(message),
    })),
  };
}

/** How many messages in a maker's box nobody has read yet. */
export async function unreadIn(db: Database, account: string): Promise<number> {
  const [row] = await db
    .select({ unread: count() })
    .from(messages)
    .where(and(eq(messages.accountId, account), isNull(messages.readAt), isNull(messages.deletedAt)));
  return row?.unread ?? 0;
}

/** @returns false where the maker has no such message */
export async function changeIn(
  db: Database,
  account: string,
  id: string,
  change: { read?: boolean | undefined; deleted?: boolean | undefined },
): Promise<boolean> {
  const at = (said: boolean) => (said ? new Date() : null);
  const changed = await db
    .update(messages)
    .set({
      ...(change.read !== undefined && { readAt: at(change.read) }),
      ...(change.deleted !== undefined && { deletedAt: at(change.deleted) }),
      // So that a change of nothing is one, too.
      id,
    })
    .where(and(eq(messages.id, id), eq(messages.accountId, account)))
    .returning({ id: messages.id });
  return changed.length > 0;
}

/** Whether a maker gets copies by mail, and how often one says that comments wait. */
export async function setCopies(
  db: Database,
  account: string,
  { on, comments }: { on?: boolean | undefined; comments?: CommentMails | undefined },
): Promise<void> {
  await db
    .update(accounts)
    .set({
      ...(on !== undefined && { copies: on }),
      ...(comments !== undefined && { commentMails: comments }),
      // So that a change of nothing is one, too.
      id: account,
    })
    .where(eq(accounts.id, account));
}

/** Takes away what was deleted too long ago to be had back. */
export async function dropDeleted(db: Database): Promise<void> {
  await db.delete(messages).where(lt(messages.deletedAt, new Date(Date.now() - deletedKeptMs)));
}
