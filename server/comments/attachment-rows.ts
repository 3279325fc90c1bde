import { and, asc, count, eq, inArray, isNull, sql, sum } from 'drizzle-orm';
import { type Attachment, type AttachmentFault, attachmentLimits } from '#core/comments/attachment.ts';
import type { Database } from '../db/connect.ts';
import { commentAttachments, comments, sites } from '../db/schema.ts';

/** Whose comment it must be for a file to be put to it. */
export interface OwnComment {
  id: string;
  site: string;
  page: string;
  pass: string;
  writer: string;
}

/** A file that was taken in for a comment: its bytes are stored. */
export interface StoredAttachment extends Attachment {
  /** Hash of what is kept of it: of a picture its pixels alone. */
  stored: string;
  mediaType: string;
}

/** What may still be put to a comment. 'gone': there is none, it is somebody else's, or nothing more is taken from them. */
export async function roomAt(
  db: Pick<Database, 'select'>,
  { id, site, page, pass, writer }: OwnComment,
): Promise<'there' | 'gone' | Extract<AttachmentFault, 'many' | 'full'>> {
  const [own] = await db
    .select({ blocked: comments.blockedAt })
    .from(comments)
    .where(
      and(
        ...[eq(comments.id, id), eq(comments.siteId, site), eq(comments.page, page)],
        ...[eq(comments.passId, pass), eq(comments.writer, writer), isNull(comments.deletedAt)],
      ),
    );
  if (!own || own.blocked !== null) return 'gone';
  const [lying] = await db
    .select({ many: count() })
    .from(commentAttachments)
    .where(eq(commentAttachments.commentId, id));
  if ((lying?.many ?? 0) >= attachmentLimits.each) return 'many';
  const [all] = await db
    .select({ bytes: sum(commentAttachments.bytes).mapWith(Number) })
    .from(commentAttachments)
    .innerJoin(comments, eq(comments.id, commentAttachments.commentId))
    .where(eq(comments.siteId, site));
  return (all?.bytes ?? 0) + attachmentLimits.bytes > attachmentLimits.ofSite ? 'full' : 'there';
}

/** Puts a file to a comment, where there is room for it still. */
export async function attach(
  db: Database,
  comment: OwnComment,
  { stored, mediaType, ...file }: StoredAttachment,
  now: Date,
): ReturnType<typeof roomAt> {
  return db.transaction(async (tx) => {
    const room = await roomAt(tx, comment);
    if (room === 'there')
      await tx
        .insert(commentAttachments)
        .values({ ...file, commentId: comment.id, stored, mediaType, createdAt: now })
        // Pressed twice, it lies there once.
        .onConflictDoNothing();
    return room;
  });
}

/** What lies with some comments, by their ids, in the order in which it came. */
export async function attachmentsOf(
  db: Database,
  ids: readonly string[],
): Promise<Map<string, (Attachment & { stored: string })[]>> {
  const found = new Map<string, (Attachment & { stored: string })[]>();
  if (ids.length === 0) return found;
  const rows = await db
    .select()
    .from(commentAttachments)
    .where(inArray(commentAttachments.commentId, [...ids]))
    .orderBy(asc(commentAttachments.createdAt), asc(commentAttachments.id));
  for (const { commentId, id, fileName, kind, bytes, stored } of rows)
    found.set(commentId, [...(found.get(commentId) ?? []), { id, fileName, kind, bytes, stored }]);
  return found;
}

/** A file that lies with a comment on a site of a maker; null where there is none. */
export async function attachmentFor(
  db: Database,
  account: string,
  comment: string,
  id: string,
): Promise<Pick<StoredAttachment, 'fileName' | 'kind' | 'stored' | 'bytes' | 'mediaType'> | null> {
  const [row] = await db
    .select({ file: commentAttachments })
    .from(commentAttachments)
    .innerJoin(comments, eq(comments.id, commentAttachments.commentId))
    .where(
      and(
        eq(commentAttachments.id, id),
        eq(comments.id, comment),
        sql`${comments.siteId} in (select ${sites.id} from ${sites} where ${sites.accountId} = ${account})`,
      ),
    );
  return row?.file ?? null;
}
