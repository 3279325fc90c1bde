import { and, eq, notInArray } from 'drizzle-orm';
import type { AnswerOf, LinkAnswer } from '#core/links/link-answer.ts';
import type { Database, Executor } from '../db/connect.ts';
import { linkAnswers } from '../db/schema.ts';

const told = ({ address, state, movedTo, askedAt }: typeof linkAnswers.$inferSelect): LinkAnswer => ({
  ...{ to: address, state, movedTo },
  askedAt: askedAt.toISOString(),
});

/** What addresses elsewhere answered for a site. */
export const linkAnswersOf = async (db: Executor, site: string): Promise<LinkAnswer[]> =>
  (await db.select().from(linkAnswers).where(eq(linkAnswers.siteId, site))).map(told);

/** The same by address, as rules of Check ask for it. */
export const answersByAddress = async (db: Executor, site: string): Promise<AnswerOf> =>
  new Map((await linkAnswersOf(db, site)).map((one) => [one.to, one]));

/** Remembers an answer in place of the one before. */
export async function rememberAnswer(
  db: Database,
  site: string,
  { to: address, state, movedTo, askedAt }: LinkAnswer,
): Promise<void> {
  const row = { siteId: site, address, state, movedTo, askedAt: new Date(askedAt) };
  await db
    .insert(linkAnswers)
    .values(row)
    .onConflictDoUpdate({ target: [linkAnswers.siteId, linkAnswers.address], set: row });
}

/** Forgets the answers of all addresses but some. */
export async function forgetAnswersBut(db: Database, site: string, kept: readonly string[]): Promise<void> {
  await db
    .delete(linkAnswers)
    .where(and(eq(linkAnswers.siteId, site), notInArray(linkAnswers.address, [...kept])));
}
