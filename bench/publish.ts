import { createReadStream } from 'node:fs';
import { readdir } from 'node:fs/promises';
import { join } from 'node:path';
import { type Page, shownOn } from '../core/pages/page.ts';
import { fromParagraphs } from '../core/words/rich-text.ts';
import { newId } from '../server/db/new-id.ts';
import { importMaterial } from '../server/media/import-material.ts';
import { newPart } from '#core/parts/new-part.ts';
import { emptyPage } from '../server/pages/new-page.ts';
import { publish } from '../server/publish/publish.ts';
import { draftAt } from '../server/sites/load-draft.ts';
import { benchServer, type BenchServer } from './bench-server.ts';
import { median, milliseconds, type Row, timed } from './table.ts';

const demo = join(import.meta.dirname, '../demo/pictures');
const projects = 30;
const changes = 5;

/** A site of 30 projects, each with words and six of the demo's pictures. */
async function thirtyProjects(server: BenchServer): Promise<Page[]> {
  const { publishing, scope, config } = server;
  const files = (await readdir(demo, { recursive: true })).filter((name) => name.endsWith('.jpg')).sort();
  const materials: string[] = [];
  for (const file of files) {
    const stream = createReadStream(join(demo, file));
    materials.push(
      (await importMaterial({ ...publishing, limits: config }, scope, { name: file, stream })).material,
    );
  }
  const pages: Page[] = [];
  for (let at = 0; at < projects; at++) {
    const pictures = Array.from({ length: 6 }, (_, n) => materials[(at * 5 + n) % materials.length] ?? '');
    pages.push({
      ...emptyPage('project', `b${String(at).padStart(2, '0')}`, `project-${at}`),
      title: `Project ${at}`,
      summary: 'One line about it.',
      opening: { layout: 'full', pictures: pictures.slice(0, 1) },
      parts: [
        {
          id: newId(),
          height: 'public',
          kind: 'words',
          text: fromParagraphs('Why it was made.\n\nHow it was made.'),
        },
        newPart('gallery', newId(), pictures),
      ],
    });
  }
  await publishing.commands.run(scope, { label: 'All' }, async (running) => {
    for (const page of pages) await running.insert('page', page);
    await running.update('site', scope.site, { height: 'unlisted' });
  });
  return pages;
}

/** Publishing a 30-project site from nothing against publishing it again after one changed word. */
export async function benchPublish(): Promise<Row> {
  const server = await benchServer();
  const { db } = server.publishing;
  const pages = await thirtyProjects(server);
  const publishNow = async () => {
    const draft = await draftAt(db, server.scope.account, server.scope.site);
    return publish(server.publishing, draft, '', () => {}, new AbortController().signal);
  };
  const cold = await timed(publishNow);
  const warm: number[] = [];
  for (let change = 0; change < changes; change++) {
    const page = pages[change * 5];
    const [words, gallery] = page ? shownOn(page).parts : [];
    if (!page || words?.kind !== 'words' || !gallery)
      throw new Error('The bench site has no words to change.');
    await server.publishing.commands.run(server.scope, { label: 'Word' }, async (running) => {
      await running.update('page', page.id, {
        parts: [{ ...words, text: fromParagraphs(`Why it was really made, ${change}.`) }, gallery],
      });
    });
    warm.push(await timed(publishNow));
  }
  await server.close();
  const ratio = cold / median(warm);
  return {
    what: 'publish of 30 projects after one changed word',
    ours: milliseconds(median(warm)),
    against: 'the first publish of the same site',
    other: milliseconds(cold),
    ratio,
    wanted: 'at least 20 times faster',
    reached: ratio >= 20,
  };
}
