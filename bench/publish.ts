import { eq } from 'drizzle-orm';
import { randomBytes } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { readdir } from 'node:fs/promises';
import { join } from 'node:path';
import { type Page, shownOn } from '../core/pages/page.ts';
import { fromParagraphs } from '../core/words/rich-text.ts';
import { passViewer } from '../core/passes/pass-viewer.ts';
import type { Database } from '../server/db/connect.ts';
import { newId } from '../server/db/new-id.ts';
import { releases, sites } from '../server/db/schema.ts';
import { importMaterial } from '../server/media/import-material.ts';
import { newPart } from '#core/parts/new-part.ts';
import { addPasses } from '../server/passes/pass-rows.ts';
import { PassTrees } from '../server/passes/pass-trees.ts';
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

/** Publishes the site as its draft is now. */
const publishNow = async ({ publishing, scope }: BenchServer): Promise<number> => {
  const draft = await draftAt(publishing.db, scope.account, scope.site);
  return publish(publishing, draft, '', () => {}, new AbortController().signal);
};

/** How long publishes take after one changed word each, in ms. */
async function afterWords(server: BenchServer, pages: readonly Page[], said: string): Promise<number[]> {
  const took: number[] = [];
  for (let change = 0; change < changes; change++) {
    const page = pages[change * 5];
    const [words, gallery] = page ? shownOn(page).parts : [];
    if (!page || words?.kind !== 'words' || !gallery)
      throw new Error('The bench site has no words to change.');
    await server.publishing.commands.run(server.scope, { label: 'Word' }, async (running) => {
      await running.update('page', page.id, {
        parts: [{ ...words, text: fromParagraphs(`${said}, ${change}.`) }, gallery],
      });
    });
    took.push(await timed(() => publishNow(server)));
  }
  return took;
}

/** Publishing a 30-project site from nothing against publishing it again after one changed word. */
export async function benchPublish(): Promise<Row> {
  const server = await benchServer();
  const pages = await thirtyProjects(server);
  const cold = await timed(() => publishNow(server));
  const warm = await afterWords(server, pages, 'Why it was really made');
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

/** The same publish with a hundred passes, each of which opens other pages, against the one without any. */
export async function benchPassesPublish(): Promise<Row> {
  const server = await benchServer();
  const { db } = server.publishing;
  const pages = await thirtyProjects(server);
  await publishNow(server);
  const without = await afterWords(server, pages, 'Without passes');
  const wanted = Array.from({ length: 100 }, (_, at) => ({
    ...{
      label: `Pass ${at}`,
      forWhom: '',
      from: null,
      until: null,
      timeZone: 'UTC',
      mayDownload: true,
      mayComment: false,
      asks: '',
    },
    opens: [pages[at % 30]?.id ?? '', pages[(at * 7 + 3) % 30]?.id ?? ''],
    password: null,
  }));
  await addPasses(db, server.scope.site, randomBytes(32), wanted);
  const trees = new PassTrees(server.publishing, console);
  const withPasses = await afterWords(server, pages, 'With passes');
  const live = await liveReleaseOf(db, server.scope.site);
  const [first] = wanted;
  const firstReader = await timed(() =>
    trees.of(live, passViewer(first ?? { opens: 'site', mayDownload: true })),
  );
  await server.close();
  const ratio = median(without) / median(withPasses);
  return {
    what: `publish with 100 passes (the first reader of one then waits ${milliseconds(firstReader)})`,
    ours: milliseconds(median(withPasses)),
    against: 'the same without passes',
    other: milliseconds(median(without)),
    ratio,
    wanted: 'at least 0.8 of its speed',
    reached: ratio >= 0.8,
  };
}

async function liveReleaseOf(db: Database, site: string) {
  const [row] = await db
    .select({ id: releases.id, site: releases.siteId, source: releases.source })
    .from(sites)
    .innerJoin(releases, eq(releases.id, sites.liveRelease))
    .where(eq(sites.id, site));
  if (!row) throw new Error('The bench site has no release.');
  return row;
}
