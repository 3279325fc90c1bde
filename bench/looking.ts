import { changePage, createPage } from '#contract/pages.ts';
import { lookAtPictures } from '#contract/pictures.ts';
import { eq } from 'drizzle-orm';
import { accounts, materials, pictureFeatures } from '../server/db/schema.ts';
import { featuresVersion } from '../server/looking/read-features.ts';
import { TestServer } from '../server/testing/test-server.ts';
import { fillSite } from './large-site.ts';
import { squares } from './look-alikes.ts';
import { milliseconds, type Row } from './table.ts';

const saves = 100;

/** How long a maker's saves take while the pictures of the same maker are grouped, beside saves in peace. */
export async function benchLooking(pictures = 5000): Promise<Row> {
  const server = await TestServer.start();
  try {
    const maker = await server.maker();
    const { site } = await maker.site();
    const { db } = server.database;
    const [account] = await db.select({ id: accounts.id }).from(accounts);
    await fillSite(db, { site: site.id, account: account?.id ?? '' }, 0, pictures);
    const rows = await db
      .select({ original: materials.original })
      .from(materials)
      .where(eq(materials.kind, 'picture'));
    const compared = await squares(pictures);
    const features = rows.flatMap(({ original }, at) => {
      const one = compared[at];
      if (!one) return [];
      const square = Buffer.from(one.square).toString('base64');
      const { hash } = one;
      const shape = [...one.shape];
      const colours = Array.from({ length: 48 }, () => 128);
      return [
        {
          original,
          version: featuresVersion,
          features: { hash, shape, colours, square, blur: 0.2, mean: 120, bright: 220 },
        },
      ];
    });
    for (let from = 0; from < features.length; from += 200)
      await db.insert(pictureFeatures).values(features.slice(from, from + 200));
    const { page } = await maker.call(createPage, {
      params: { site: site.id },
      body: { title: 'Clock', materials: [] },
    });
    const save = async (n: number) => {
      const start = performance.now();
      await maker.call(changePage, {
        params: { site: site.id, page },
        body: { seen: 1e9, label: 'Summary', mergeKey: 'summary', change: { summary: `Line ${n}` } },
      });
      return performance.now() - start;
    };
    const quantile = (times: number[]) =>
      times.sort((a, b) => a - b)[Math.floor(times.length * 0.95)] ?? Number.NaN;
    for (let n = 0; n < 10; n++) await save(n);
    const inPeace: number[] = [];
    for (let n = 0; n < saves; n++) inPeace.push(await save(n));
    let grouped = false;
    const grouping = maker
      .call(lookAtPictures, { params: { site: site.id } })
      .then(({ groups }) => (grouped = groups.length > 0));
    const meanwhile: number[] = [];
    for (let n = 0; !grouped && n < 10 * saves; n++) meanwhile.push(await save(n));
    await grouping;
    const [ours, other] = [quantile(meanwhile), quantile(inPeace)];
    return {
      what: `a save while ${pictures} pictures are grouped, 95th of a hundred (${meanwhile.length} saves)`,
      ours: milliseconds(ours),
      against: 'a save in peace',
      other: milliseconds(other),
      ratio: ours / other,
      wanted: 'under 100 ms',
      reached: ours < 100,
    };
  } finally {
    await server.stop();
  }
}
