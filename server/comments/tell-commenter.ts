import { and, count, eq, gt, isNull, sql } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { comments, letters, sites } from '../db/schema.ts';
import { putOnItsWay } from '../mail/letter-rows.ts';
import type { Mailing } from '../mail/mailing.ts';

/** So long a mail waits, so that an answer that is put right at once makes one of it; in ms. */
const soonMs = 2 * 60 * 1000;
const dayMs = 24 * 60 * 60 * 1000;
/** So many go to one address in a day from one maker, whatever is answered. */
const mostInADay = 10;

/** Puts a mail on its way to whoever commented and left an address, that it is answered. It is written when it is sent. */
export async function tellCommenter(
  db: Database,
  mailing: Pick<Mailing, 'sends' | 'look'>,
  id: string,
  now: Date,
): Promise<void> {
  if (!mailing.sends) return;
  const [found] = await db
    .select({ to: comments.mailTo, account: sites.accountId })
    .from(comments)
    .innerJoin(sites, eq(sites.id, comments.siteId))
    .where(and(eq(comments.id, id), isNull(comments.deletedAt)));
  if (!found || found.to === null) return;
  const { to, account } = found;
  const [sent] = await db
    .select({ many: count() })
    .from(letters)
    .where(
      and(
        eq(letters.accountId, account),
        gt(letters.createdAt, new Date(now.getTime() - dayMs)),
        eq(letters.to, to),
        sql`${letters.about} ->> 'kind' = 'answered'`,
      ),
    );
  if ((sent?.many ?? 0) >= mostInADay) return;
  const about = { kind: 'answered', comment: id } as const;
  await putOnItsWay(db, account, to, about, now, new Date(now.getTime() + soonMs));
  mailing.look();
}
