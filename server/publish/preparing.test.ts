import { afterEach, describe, expect, test } from '@jest/globals';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { createPage } from '#contract/pages.ts';
import { changeSite } from '#contract/sites.ts';
import { shownSize } from '#core/gallery/fixed-frame.ts';
import { recipesFor } from '../media/derive.ts';
import { Preparing } from './preparing.ts';
import { TestServer } from '../testing/test-server.ts';

const pictures = join(import.meta.dirname, '../../demo/pictures/tide-clock');
let server: TestServer;
afterEach(() => server.stop());

const names = ['06-bench-shot-rotated.jpg', '07-hand-close-up.jpg'];
/** An Unlisted site with a project of two pictures. */
async function twoPictures() {
  const maker = await server.maker();
  const { site } = await maker.site();
  const materials: string[] = [];
  for (const name of names)
    materials.push((await maker.upload(site.id, name, await readFile(join(pictures, name)))).material);
  await maker.call(createPage, { params: { site: site.id }, body: { title: 'Clock', materials } });
  await maker.call(changeSite, {
    params: { site: site.id },
    body: { seen: 0, label: 'Open', change: { height: 'unlisted' } },
  });
  const state = await maker.state(site.id);
  const wanted = state.materials.flatMap((one) =>
    one.kind === 'picture'
      ? recipesFor({ original: one.original, page: null, fixes: {}, ...shownSize(one.facts, one.fixes) })
      : [],
  );
  // Words lie over the first picture of the opening: how light it is has to be known, too.
  const over = state.pages.flatMap((page) => ('opening' in page ? page.opening.pictures.slice(0, 1) : []));
  const lights = state.materials.flatMap(({ id, original }) =>
    over.includes(id) ? [`light 1 ${original} {}`] : [],
  );
  expect(lights).toHaveLength(1);
  return { maker, site: site.id, wanted: [...wanted.map(({ key }) => key), ...lights].sort() };
}

/** Files made of pictures so far. */
const made = async () =>
  (await server.database.db.query.derivatives.findMany())
    .map(({ recipe }) => recipe)
    .filter((recipe) => !recipe.startsWith('preview '))
    .sort();
/** Waits until as many are made as a publish of both needs. */
async function allMade(wanted: readonly string[]): Promise<void> {
  for (let list: string[] = []; list.length < wanted.length; list = await made())
    await new Promise((resolve) => setTimeout(resolve, 100));
  expect(await made()).toEqual(wanted);
}

describe('what a publish will need', () => {
  test('is made once a picture stands on a page; the publish then makes nothing', async () => {
    server = await TestServer.start({}, { prepareAfterMs: 0 });
    const { maker, site, wanted } = await twoPictures();
    await allMade(wanted);
    const job = await maker.publish(site);
    expect(job.state).toBe('done');
    expect(await made()).toEqual(wanted);
    const page = await server.get(`${job.live?.siteLinkPath ?? ''}clock/`);
    expect(page.body).toContain('.avif');
  });

  test('is made after a restart where it was not before', async () => {
    server = await TestServer.start();
    const { wanted } = await twoPictures();
    expect(await made()).toEqual([]);
    const { database, blobs, reading, assets } = server;
    const again = new Preparing(
      {
        db: database.db,
        blobs,
        reading,
        assets,
        rendererVersion: 'test',
        publicOrigin: 'http://studio.test',
      },
      0,
      { error: (...said: unknown[]) => expect(said).toEqual([]) } as never,
    );
    await again.start();
    await allMade(wanted);
    again.stop();
  });

  test('gives way to files that somebody brings, and goes on after them', async () => {
    server = await TestServer.start({}, { prepareAfterMs: 0 });
    const { reading, blobs } = server;
    const maker = await server.maker();
    const { site } = await maker.site();
    const [one, other] = await Promise.all(names.map((name) => readFile(join(pictures, name))));
    if (!one || !other) throw new Error('There are no pictures.');
    const source = { original: await blobs.put(one), page: null, fixes: {}, widthPx: 1000, heightPx: 750 };
    const recipes = recipesFor(source);
    const order: string[] = [];
    const low = reading.run('derive', { source, recipes }, 'a', true).then(() => order.push('prepared'));
    await maker.upload(site.id, 'other.jpg', other);
    order.push('taken in');
    await low;
    expect(order).toEqual(['taken in', 'prepared']);
  });
});
