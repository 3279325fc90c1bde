import { and, asc, count, desc, eq, isNotNull, isNull, lt, notInArray, sql } from 'drizzle-orm';
import type { Comment, CommentState, TakenUp } from '#core/comments/comment.ts';
import type { WaitingComment } from '#core/letters/comments-letter.ts';
import type { ReceivedComment } from '#contract/comments.ts';
import { attachmentsOf } from './attachment-rows.ts';
import { materialsNow, pictureNow } from './picture-now.ts';
import type { Database, Executor } from '../db/connect.ts';
import { comments, pages, passes, sites } from '../db/schema.ts';

/** A site takes so many; what is deleted does not count. */
const mostKept = 2000;
/** Deleted comments can be had back this long, in ms: 30 days. */
const deletedKeptMs = 30 * 24 * 60 * 60 * 1000;

/** A comment that comes in. */
export interface ArrivingComment extends Pick<
  Comment,
  'id' | 'page' | 'part' | 'writer' | 'name' | 'words' | 'quote' | 'picture'
> {
  site: string;
  pass: string;
  /** What the part is called on the page as its writer saw it; empty for a comment on the page. */
  about: string;
  at: Date;
  /** Who is told of an answer. Told to nobody else, its maker included. */
  mailTo?: string | null;
}

/** All that may be shown of a site, or told to whoever wrote it. */
export async function commentsOf(db: Database, site: string): Promise<Comment[]> {
  const rows = await db
    .select()
    .from(comments)
    .where(and(eq(comments.siteId, site), isNull(comments.deletedAt)));
  const files = await attachmentsOf(
    db,
    rows.map(({ id }) => id),
  );
  return rows.map((row) => ({
    attachments: (files.get(row.id) ?? []).map(({ id, fileName }) => ({ id, fileName })),
    ...{ id: row.id, page: row.page, part: row.part, pass: row.passId, writer: row.writer },
    ...{
      name: row.name,
      words: row.words,
      quote: row.quote,
      picture: row.picture,
      at: row.createdAt,
      state: row.state,
      answer: row.answer,
    },
    resolved: row.resolvedAt !== null,
    thanked: row.thankedAt !== null,
  }));
}

/**
 * Takes in a comment, once: the same one a second time changes nothing.
 *
 * @returns 'full' where a site takes no more; 'blocked' where nothing more is taken from that device
 */
export async function takeIn(db: Database, comment: ArrivingComment): Promise<'there' | 'full' | 'blocked'> {
  const { id, site, pass, page, part, writer, name, words, quote, picture, about, at, mailTo } = comment;
  return db.transaction(async (tx) => {
    const [lying] = await tx
      .select({ many: count() })
      .from(comments)
      .where(and(eq(comments.siteId, site), isNull(comments.deletedAt)));
    if ((lying?.many ?? 0) >= mostKept) return 'full';
    const [refused] = await tx
      .select({ id: comments.id })
      .from(comments)
      .where(and(eq(comments.siteId, site), eq(comments.writer, writer), isNotNull(comments.blockedAt)))
      .limit(1);
    if (refused) return 'blocked';
    await tx
      .insert(comments)
      .values({
        id,
        siteId: site,
        passId: pass,
        page,
        part,
        writer,
        name,
        words,
        quote,
        picture,
        about,
        mailTo: mailTo ?? null,
        createdAt: at,
      })
      .onConflictDoNothing();
    return 'there';
  });
}

/** The name that somebody last wrote under from a device; empty where they wrote nothing. */
export async function nameOf(db: Database, site: string, writer: string): Promise<string> {
  const [row] = await db
    .select({ name: comments.name })
    .from(comments)
    .where(and(eq(comments.siteId, site), eq(comments.writer, writer)))
    .orderBy(desc(comments.createdAt))
    .limit(1);
  return row?.name ?? '';
}

/** What all readers of a maker's sites wrote, the newest first, and what was deleted of late. */
export async function receivedBy(db: Database, account: string): Promise<ReceivedComment[]> {
  const rows = await db
    .select({ comment: comments, site: sites.title, page: pages.title, pass: passes.label })
    .from(comments)
    .innerJoin(sites, eq(sites.id, comments.siteId))
    .leftJoin(pages, and(eq(pages.id, comments.page), eq(pages.siteId, comments.siteId)))
    .leftJoin(passes, eq(passes.id, comments.passId))
    .where(eq(sites.accountId, account))
    .orderBy(desc(comments.createdAt), asc(comments.id));
  const materials = await materialsNow(
    db,
    account,
    rows.flatMap(({ comment }) => comment.picture?.material ?? []),
  );
  const files = await attachmentsOf(
    db,
    rows.map(({ comment }) => comment.id),
  );
  return rows.map(({ comment, site, page, pass }) => ({
    attachments: (files.get(comment.id) ?? []).map(({ stored: _stored, ...file }) => file),
    ...{
      id: comment.id,
      name: comment.name,
      words: comment.words,
      quote: comment.quote,
      about: comment.about,
    },
    site: { id: comment.siteId, title: site },
    page: { id: comment.page, title: page ?? '' },
    part: comment.part,
    picture: comment.picture && pictureNow(comment.picture, materials.get(comment.picture.material)),
    pass: pass ?? '',
    at: comment.createdAt.toISOString(),
    ...{ state: comment.state, answer: comment.answer },
    takenUp: comment.resolvedAt !== null ? 'yes' : comment.resolvesNext ? 'next' : 'no',
    thanked: comment.thankedAt !== null,
    mails: comment.mailTo !== null,
    blocked: comment.blockedAt !== null,
    deleted: comment.deletedAt !== null,
  }));
}

/** How many comments on a maker's sites wait for a word of theirs. */
export async function waitingFor(db: Database, account: string): Promise<number> {
  const [row] = await db
    .select({ waiting: count() })
    .from(comments)
    .innerJoin(sites, eq(sites.id, comments.siteId))
    .where(and(eq(sites.accountId, account), eq(comments.state, 'waiting'), isNull(comments.deletedAt)));
  return row?.waiting ?? 0;
}

/** The comments that wait for a word of their maker, the newest first. */
export const waitingComments = (db: Database, account: string): Promise<WaitingComment[]> =>
  db
    .select({
      ...{ name: comments.name, words: comments.words, site: comments.siteId },
      page: sql<string>`coalesce(${pages.title}, '')`,
    })
    .from(comments)
    .innerJoin(sites, eq(sites.id, comments.siteId))
    .leftJoin(pages, and(eq(pages.id, comments.page), eq(pages.siteId, comments.siteId)))
    .where(and(eq(sites.accountId, account), eq(comments.state, 'waiting'), isNull(comments.deletedAt)))
    .orderBy(desc(comments.createdAt), asc(comments.id));

/** What a maker may change of a comment. What its writer said is never among it. */
export interface CommentChange {
  state?: CommentState | undefined;
  answer?: string | null | undefined;
  takenUp?: TakenUp | undefined;
  thanked?: boolean | undefined;
  blocked?: boolean | undefined;
  deleted?: boolean | undefined;
}

/** @returns the site it is on; null where the maker has no such comment */
export async function changeComment(
  db: Database,
  account: string,
  id: string,
  { state, answer, takenUp, thanked, blocked, deleted }: CommentChange,
  now: Date,
): Promise<string | null> {
  const when = (said: boolean) => (said ? now : null);
  const [changed] = await db
    .update(comments)
    .set({
      ...(state !== undefined && { state }),
      ...(answer !== undefined && { answer }),
      ...(takenUp !== undefined && { resolvedAt: when(takenUp === 'yes'), resolvesNext: takenUp === 'next' }),
      ...(thanked !== undefined && { thankedAt: when(thanked) }),
      ...(blocked !== undefined && { blockedAt: when(blocked) }),
      ...(deleted !== undefined && { deletedAt: when(deleted) }),
      // So that a change of nothing is one, too.
      id,
    })
    .where(
      and(
        eq(comments.id, id),
        sql`${comments.siteId} in (select ${sites.id} from ${sites} where ${sites.accountId} = ${account})`,
      ),
    )
    .returning({ site: comments.siteId });
  return changed?.site ?? null;
}

/** Takes away for good what was deleted too long ago to be had back. */
export async function dropDeletedComments(db: Database, now: Date): Promise<void> {
  await db.delete(comments).where(lt(comments.deletedAt, new Date(now.getTime() - deletedKeptMs)));
}

/**
 * Counts what was to be taken up with the next release of a site as that, now that it is live.
 *
 * @param staying pages that stay as readers had them: what is said of these is not taken up yet
 */
export async function takeUpWithRelease(
  tx: Executor,
  site: string,
  staying: ReadonlySet<string>,
  now: Date,
): Promise<void> {
  await tx
    .update(comments)
    .set({ resolvedAt: now, resolvesNext: false })
    .where(
      and(
        eq(comments.siteId, site),
        eq(comments.resolvesNext, true),
        notInArray(comments.page, [...staying]),
      ),
    );
}
