import { and, eq, isNotNull, max, sql } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { letters } from '../db/schema.ts';
import { putOnItsWay } from '../mail/letter-rows.ts';
import { makerToTell, soonMs } from '../mail/maker-to-tell.ts';
import type { Mailing } from '../mail/mailing.ts';

const dayMs = 24 * 60 * 60 * 1000;

/**
 * Puts a mail on its way that says which comments wait, as often as their maker wants one. It is written when it is sent, so what was
 * answered by then is not in it; none goes to an address that nobody has shown to be theirs.
 */
export async function tellMaker(
  db: Database,
  mailing: Pick<Mailing, 'sends' | 'look'>,
  site: string,
  now: Date,
): Promise<void> {
  if (!mailing.sends) return;
  const maker = await makerToTell(db, site);
  if (!maker) return;
  const soon = now.getTime() + soonMs;
  const last = maker.wants === 'day' ? await lastTold(db, maker.id) : null;
  const at = new Date(last ? Math.max(soon, last.getTime() + dayMs) : soon);
  await putOnItsWay(db, maker.id, maker.email, { kind: 'comments' }, now, at);
  mailing.look();
}

async function lastTold(db: Database, account: string): Promise<Date | null> {
  const [row] = await db
    .select({ at: max(letters.sentAt) })
    .from(letters)
    .where(
      and(
        eq(letters.accountId, account),
        isNotNull(letters.sentAt),
        sql`${letters.about} ->> 'kind' = 'comments'`,
      ),
    );
  return row?.at ?? null;
}
