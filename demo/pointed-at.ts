import { eq } from 'drizzle-orm';
import type { CommentedPicture } from '#core/comments/comment.ts';
import type { Mark } from '#core/comments/mark.ts';
import { materialsOf, picturesOn } from '#server/comments/pictures-on.ts';
import { manifestOf } from '#server/db/release-manifest.ts';
import { sites } from '#server/db/schema.ts';
import type { PublishDeps } from '#server/publish/made-files.ts';

/** The first picture on a page that is live, as whoever points at it has it. @throws Error where there is none */
export async function pointedAt(
  { db, blobs }: Pick<PublishDeps, 'db' | 'blobs'>,
  site: string,
  page: string,
  mark: Mark,
): Promise<CommentedPicture> {
  const [live] = await db.select({ release: sites.liveRelease }).from(sites).where(eq(sites.id, site));
  const tree = live?.release ? (await manifestOf(db, live.release)).public : null;
  const file = Object.values(tree ?? {}).find((one) => one.page === page);
  const html = file ? (await blobs.read(file.hash)).toString() : '';
  const [picture] = tree && file ? picturesOn(tree, file, html) : [];
  const [material] = tree && picture ? materialsOf(tree, picture.file) : [];
  if (!picture || material === undefined) throw new Error('No picture is live on that page.');
  const { file: path, widthPx, heightPx } = picture;
  return { material, file: path, widthPx, heightPx, mark };
}
