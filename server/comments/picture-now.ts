import { and, eq, inArray } from 'drizzle-orm';
import type { ReceivedComment } from '#contract/comments.ts';
import { previewPath } from '#contract/material-paths.ts';
import type { CommentedPicture } from '#core/comments/comment.ts';
import { shownSize } from '#core/gallery/fixed-frame.ts';
import type { Id } from '#core/id.ts';
import { isPicture, type Material } from '#core/materials/material.ts';
import type { Database } from '../db/connect.ts';
import { materialOf } from '../db/rows/material-row.ts';
import { materials } from '../db/schema.ts';

/** Proportions that differ by no more than this are those of the same cut: sizes are rounded to whole pixels. */
const sameWithin = 0.01;

/** Materials of a maker as they are in the draft, by their ids. */
export async function materialsNow(db: Database, account: string, ids: Id[]): Promise<Map<Id, Material>> {
  if (ids.length === 0) return new Map();
  const rows = await db
    .select()
    .from(materials)
    .where(and(eq(materials.accountId, account), inArray(materials.id, [...new Set(ids)])));
  return new Map(rows.map((row) => [row.id, materialOf(row)]));
}

/** A picture that something was said of, for its maker. */
export function pictureNow(
  { widthPx, heightPx, mark }: CommentedPicture,
  material: Material | undefined,
): NonNullable<ReceivedComment['picture']> {
  if (!material || !isPicture(material))
    return { src: null, name: material?.title ?? '', widthPx, heightPx, mark, asItWas: false };
  const now = shownSize(material.facts, material.fixes);
  return {
    ...{ src: previewPath(material, 480), name: material.alt || material.title || material.fileName },
    ...{ ...now, mark },
    asItWas: Math.abs((now.widthPx / now.heightPx) * (heightPx / widthPx) - 1) <= sameWithin,
  };
}
