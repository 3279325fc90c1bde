import { firstLook } from '#core/look/look.ts';
import { PGlite } from '@electric-sql/pglite';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { cp, mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { z } from 'zod';
import { type PageOf, pageSchema } from '#core/pages/page.ts';
import { pageFromStored } from '#core/stored/stored-kinds.ts';
import type { Executor } from './connect.ts';
import { sourceOf, wasReleased } from './release-source.ts';
import { readPages } from './rows/page-row.ts';
import { siteOf } from './rows/site-row.ts';
import { releases, sites } from './schema.ts';
import { firstArrangement } from '#core/sites/arrangement.ts';

const migrations = join(import.meta.dirname, 'migrations');
const journalSchema = z.object({ entries: z.array(z.looseObject({ idx: z.number() })) }).loose();

/** A page as it was kept before case facts had months, people and a cover. */
const oldPage = {
  id: 'page-1',
  kind: 'project',
  parent: null,
  rank: 'a1',
  slug: 'tide-clock',
  title: 'Tide clock',
  summary: '',
  height: 'public',
  opening: { layout: 'words', pictures: [] },
  facts: {
    when: 'Autumn term',
    role: 'Making',
    withWhom: 'Idris, Ana and the whole boat club',
    madeWith: '',
  },
  parts: [
    { id: 'part-1', height: 'public', kind: 'gallery', title: 'Steps', pictures: ['picture-1'] },
    { id: 'part-2', height: 'private', kind: 'picture', material: 'picture-2', width: 'full' },
    { id: 'part-3', height: 'public', kind: 'credits' },
  ],
  archived: false,
};

const oldSite = {
  id: 'site-0001',
  title: 'Wren makes',
  height: 'public',
  address: null,
  searchEngines: false,
  theme: 'broadsheet',
  evidenceWanted: 3,
  ...firstArrangement,
};

let client: PGlite;
let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'kite-wall-migrations-'));
  await cp(migrations, folder, { recursive: true });
  const file = join(folder, 'meta/_journal.json');
  const journal = journalSchema.parse(JSON.parse(await readFile(file, 'utf8')));
  const before = { ...journal, entries: journal.entries.filter(({ idx }) => idx < 8) };
  await writeFile(file, JSON.stringify(before));
  client = await PGlite.create();
  await migrate(drizzle({ client }), { migrationsFolder: folder });
  const json = JSON.stringify;
  await client.query(`insert into account (id, name, email, password_hash) values ('a', 'Wren', 'w@x', '')`);
  await client.query(
    `insert into site (id, account_id, title, height, search_engines, theme, revision)
     values ('s', 'a', 'Wren makes', 'public', false, 'broadsheet', 1)`,
  );
  await client.query(
    `insert into page (id, site_id, kind, rank, slug, title, summary, height, opening, facts, parts, revision)
     values ('page-1', 's', 'project', 'a1', 'tide-clock', 'Tide clock', '', 'public', $1, $2, $3, 1)`,
    [json(oldPage.opening), json(oldPage.facts), json(oldPage.parts)],
  );
  await client.query(`insert into edit (site_id, label, changes) values ('s', 'New project', $1)`, [
    json([
      { table: 'page', id: 'page-1', before: null, after: oldPage },
      { table: 'site', id: 's', before: { title: 'Old' }, after: { title: 'Wren makes' } },
    ]),
  ]);
  await client.query(
    `insert into edit (site_id, label, changes) values ('s', 'New site', '[]'), ('s', 'Title', '[]')`,
  );
  await client.query(
    `insert into release (site_id, number, name, source, manifest) values ('s', 1, '', $1, '{}')`,
    [json({ site: oldSite, pages: [oldPage], materials: [] })],
  );
  await migrate(drizzle({ client }), { migrationsFolder: migrations });
});
afterAll(async () => {
  await client.close();
  await rm(folder, { recursive: true, force: true });
});

/** One value from the first row. */
async function one(query: string): Promise<unknown> {
  const { rows } = await client.query<{ value: unknown }>(query);
  return rows[0]?.value;
}

describe('pages written before case facts had months, people and a cover', () => {
  test.each([
    ['the draft', async () => (await readPages(drizzle({ client }) as unknown as Executor, 's'))[0]?.row],
    [
      'the record of edits',
      async () => pageFromStored(await one(`select changes -> 0 -> 'after' as value from edit`)),
    ],
    [
      'a release',
      async () => pageFromStored(await one(`select source -> 'pages' -> 0 as value from release`)),
    ],
  ])('in %s are read as what pages are now, with every word they had', async (_, read) => {
    const page = (await read()) as PageOf<'project'>;
    expect(pageSchema.parse(page)).toEqual(page);
    expect(page.facts).toMatchObject({
      when: 'Autumn term',
      role: 'Making',
      withWhom: [{ name: 'Idris, Ana and the whole boat club', did: '' }],
      from: null,
    });
    expect(page.cover).toEqual({ picture: null, focus: null });
    expect(page.parts).toMatchObject([
      {
        kind: 'gallery',
        title: 'Steps',
        pictures: ['picture-1'],
        layout: 'rows',
        captions: 'below',
        autoplay: false,
      },
      { kind: 'picture', width: 'full', height: 'private', link: '' },
      { kind: 'credits' },
    ]);
  });

  test('the name of a theme became the look of the site', async () => {
    const [row] = await drizzle({ client }).select().from(sites);
    expect(row && siteOf(row)).toMatchObject({ id: 's', title: 'Wren makes', look: { theme: 'broadsheet' } });
  });

  test('a release of before pieces is read whole, and what it showed counts as released', async () => {
    const db = drizzle({ client }) as unknown as Executor;
    const [row] = await drizzle({ client }).select().from(releases);
    const source = row && (await sourceOf(db, 's', row.source));
    expect(source?.site.look).toEqual(firstLook);
    expect(source?.pages.map(({ id, title }) => [id, title])).toEqual([['page-1', oldPage.title]]);
    expect(await wasReleased(db, 's', 'page-1')).toBe(true);
    expect(await wasReleased(db, 's', 'page-2')).toBe(false);
  });

  test('that a site was made is no step of undo any more', async () => {
    expect(await one(`select json_agg(label order by revision) as value from edit`)).toEqual([
      'New project',
      'Title',
    ]);
  });

  test('what was not a page, or not there, stays as it was', async () => {
    expect(await one(`select changes -> 0 -> 'before' as value from edit`)).toBeNull();
    expect(await one(`select changes -> 1 -> 'after' as value from edit`)).toEqual({ title: 'Wren makes' });
  });
});
