import { eq } from 'drizzle-orm';
import type { CommentMails } from '#core/comments/comment.ts';
import type { Database } from '../db/connect.ts';
import { accounts, sites } from '../db/schema.ts';

/** So long a mail to a maker waits, so that what comes or is put right at once makes one of it; in ms. */
export const soonMs = 2 * 60 * 1000;

/** The maker of a site, if they want mails of what others say; null where they do not, or have not shown that the address is theirs. */
export async function makerToTell(
  db: Database,
  site: string,
): Promise<{ id: string; email: string; wants: Exclude<CommentMails, 'none'> } | null> {
  const [maker] = await db
    .select({
      ...{ id: accounts.id, email: accounts.email },
      ...{ confirmedAt: accounts.confirmedAt, wants: accounts.commentMails },
    })
    .from(sites)
    .innerJoin(accounts, eq(accounts.id, sites.accountId))
    .where(eq(sites.id, site));
  if (!maker?.confirmedAt || maker.wants === 'none') return null;
  const { id, email, wants } = maker;
  return { id, email, wants };
}
