import { and, eq, isNull } from 'drizzle-orm';
import type { Letter } from '#core/letters/account-letter.ts';
import { answerLetter } from '#core/letters/answer-letter.ts';
import { passState } from '#core/passes/pass-state.ts';
import { isOfOneWhoStays } from '../accounts/leaving-rows.ts';
import type { Database } from '../db/connect.ts';
import { comments, sites } from '../db/schema.ts';
import { passOf, passRow } from '../passes/pass-rows.ts';
import { mailsPath } from './mails-key.ts';

/** The mail about an answer; null where its comment or the answer is gone, or its writer wants none any more. */
export async function letterOfAnswer(
  db: Database,
  to: string,
  id: string,
  { origin, secret, now }: { origin: string; secret: Buffer; now: Date },
): Promise<Letter | null> {
  const [found] = await db
    .select({ comment: comments })
    .from(comments)
    .innerJoin(sites, eq(sites.id, comments.siteId))
    .where(and(eq(comments.id, id), isNull(comments.deletedAt), isOfOneWhoStays));
  const comment = found?.comment;
  if (!comment || comment.mailTo !== to || comment.answer === null) return null;
  const pass = comment.passId === null ? null : await passRow(db, comment.siteId, comment.passId);
  const link = pass && passState(pass, now) === 'open' ? passOf(pass, secret).link : null;
  const { name, words, answer } = comment;
  const stops = origin + mailsPath(secret, id);
  return answerLetter({ name, words, answer, url: link && origin + link, stops, origin });
}
