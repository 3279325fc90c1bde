import { and, eq, isNull } from 'drizzle-orm';
import { seenBy } from '#core/access/seen-by.ts';
import type { Id } from '#core/id.ts';
import type { Letter } from '#core/letters/account-letter.ts';
import { answerLetter } from '#core/letters/answer-letter.ts';
import { passState } from '#core/passes/pass-state.ts';
import { passViewer } from '#core/passes/pass-viewer.ts';
import { pathsOf } from '#site/render/page-inputs.ts';
import { isOfOneWhoStays } from '../accounts/leaving-rows.ts';
import type { Database } from '../db/connect.ts';
import { comments, sites } from '../db/schema.ts';
import { passOf, type PassRow, passRow } from '../passes/pass-rows.ts';
import { hadOf } from '../sites/had-now.ts';
import type { SiteRow } from '../sites/load-draft.ts';
import { mailsPath } from './mails-key.ts';

/** Where a page stands now for whoever holds a pass, below its link; null where they cannot open it. */
async function pathNow(db: Database, site: SiteRow, pass: PassRow, page: Id): Promise<string | null> {
  const release = pass.pinned ?? site.liveRelease;
  const had = release === null ? null : await hadOf(db, site, release);
  const view = had && seenBy(had.now, passViewer(pass));
  return (view && pathsOf(view).get(page)) ?? null;
}

/** The mail about an answer; null where its comment or the answer is gone, or its writer wants none any more. */
export async function letterOfAnswer(
  db: Database,
  to: string,
  id: string,
  { origin, secret, now }: { origin: string; secret: Buffer; now: Date },
): Promise<Letter | null> {
  const [found] = await db
    .select({ comment: comments, site: sites })
    .from(comments)
    .innerJoin(sites, eq(sites.id, comments.siteId))
    .where(and(eq(comments.id, id), isNull(comments.deletedAt), isOfOneWhoStays));
  const comment = found?.comment;
  if (!comment || comment.mailTo !== to || comment.answer === null) return null;
  const pass = comment.passId === null ? null : await passRow(db, comment.siteId, comment.passId);
  const link = pass && passState(pass, now) === 'open' ? passOf(pass, secret).link : null;
  const path = pass && link && (await pathNow(db, found.site, pass, comment.page));
  const { name, words, answer } = comment;
  const url = path === null ? null : `${origin}${link}${encodeURI(path)}#comment-${id}`;
  const stops = origin + mailsPath(secret, id);
  return answerLetter({ name, words, answer, url, stops, origin });
}
