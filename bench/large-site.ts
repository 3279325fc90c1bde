import { eq } from 'drizzle-orm';
import type { Material } from '#core/materials/material.ts';
import { fromParagraphs } from '#core/words/rich-text.ts';
import type { Page } from '#core/pages/page.ts';
import { newPart } from '#core/parts/new-part.ts';
import type { Database } from '../server/db/connect.ts';
import { newId } from '../server/db/new-id.ts';
import { pageRow } from '../server/db/rows/page-row.ts';
import { materials, sites } from '../server/db/schema.ts';
import { newMaterial } from '../server/media/new-material.ts';
import { emptyPage } from '../server/pages/new-page.ts';

const picture = (at: number): Material =>
  newMaterial(
    {
      original: at.toString(16).padStart(64, '0'),
      fileName: `${at}.jpg`,
      bytes: 1000,
      title: `Picture ${at}`,
      alt: 'What is to be seen',
    },
    {
      kind: 'picture',
      facts: {
        format: 'jpeg',
        widthPx: 4000,
        heightPx: 3000,
        orientation: 1,
        hasGps: false,
        colour: '#888888',
        frames: 1,
      },
    },
  );

/**
 * So many projects of 20 parts, each with four galleries of six pictures, and so many pictures in all, most of which stand nowhere.
 */
export function largeContent(
  pageCount: number,
  pictureCount: number,
): { pages: Page[]; materials: Material[] } {
  const materials = Array.from({ length: pictureCount }, (_, at) => picture(at));
  const ids = materials.map(({ id }) => id);
  const pages = Array.from({ length: pageCount }, (_, at): Page => {
    const some = (n: number) => Array.from({ length: n }, (_, k) => ids[(at * 16 + k) % ids.length] ?? '');
    return {
      ...emptyPage('project', `b${String(at).padStart(4, '0')}`, `project-${at}`),
      title: `Project ${at}`,
      parts: Array.from({ length: 20 }, (_, n) =>
        n % 5 === 4
          ? newPart('gallery', newId(), some(6))
          : {
              id: newId(),
              height: 'public',
              kind: 'words',
              text: fromParagraphs('Why it was made so. '.repeat(20)),
            },
      ),
    };
  });
  return { pages, materials };
}

/** Makes a site large with that. There are no files behind the pictures. */
export async function fillSite(
  db: Database,
  scope: { site: string; account: string },
  pageCount: number,
  pictureCount: number,
): Promise<Page[]> {
  const { pages, materials: made } = largeContent(pageCount, pictureCount);
  for (let from = 0; from < made.length; from += 500)
    await db
      .insert(materials)
      .values(made.slice(from, from + 500).map((one) => ({ ...one, accountId: scope.account, revision: 1 })));
  await db.transaction(async (tx) => {
    for (const page of pages) await pageRow.insert(tx, scope, page, 1);
  });
  await db.update(sites).set({ height: 'public' }).where(eq(sites.id, scope.site));
  return pages;
}
