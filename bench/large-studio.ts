import { eq } from 'drizzle-orm';
import { join } from 'node:path';
import sharp from 'sharp';
import { keyTimes, quantile } from '#e2e/support/typing.ts';
import { materials, pages } from '../server/db/schema.ts';
import { rememberPreviews } from '../server/media/previews.ts';
import { openBenchStudio } from './bench-studio.ts';
import { fillSite } from './large-site.ts';
import { milliseconds, type Row } from './table.ts';

const root = join(import.meta.dirname, '..');
const demoPicture = join(root, 'demo/pictures/tide-clock/07-hand-close-up.jpg');

interface Measured {
  /** From asking for the room to its first useful sight, in ms. */
  compose: number;
  gather: number;
  /** Elements outside of the window. */
  composeUnseen: number;
  gatherUnseen: number;
  /** From Ctrl-K to its list, in ms. */
  finder: number;
  /** From a key to its letter, the 95th of a hundred, in ms. */
  finderKey: number;
  wordsKey: number;
}

/** How the studio of a site of so many pages and pictures opens and answers. */
async function measured(pageCount: number, pictureCount: number): Promise<Measured> {
  const { running, page, studio, origin, site, account, close } = await openBenchStudio();
  try {
    const { db } = running.publishing;
    await fillSite(db, { site, account }, pageCount, pictureCount);
    // The studio shows a picture for each of them, as it does once files have been read.
    const contents = await sharp(demoPicture).autoOrient().resize(480).webp().toBuffer();
    const preview = { hash: await running.publishing.blobs.put(contents), bytes: contents.byteLength };
    for (const { original } of await db.select({ original: materials.original }).from(materials))
      await rememberPreviews(
        db,
        original,
        ([480, 1400] as const).map((size) => ({ size, ...preview, widthPx: 480, heightPx: 360 })),
      );
    const [project] = await db.select({ id: pages.id }).from(pages).where(eq(pages.slug, 'project-0'));

    /** Opens an address anew; the time until something is there that can be used. */
    const opened = async (path: string, useful: string) => {
      await page.goto(`${origin}/studio/${site}/${path}`, { waitUntil: 'domcontentloaded' });
      const at = await page.waitForFunction(
        (selector) => document.querySelector(selector) !== null && performance.now(),
        { polling: 'raf', timeout: 120_000 },
        useful,
      );
      return (await at.jsonValue()) as number;
    };
    const unseen = () =>
      page.evaluate(
        () =>
          [...document.querySelectorAll('body *')].filter((element) => {
            const { top, bottom, left, right } = element.getBoundingClientRect();
            return bottom < 0 || right < 0 || top > window.innerHeight || left > window.innerWidth;
          }).length,
      );
    /** The middle one of five visits; the first, which fills the browser's cache, does not count. */
    const visited = async (path: string, useful: string) => {
      const times: number[] = [];
      for (let n = 0; n < 6; n++) {
        times.push(await opened(path, useful));
        await page.waitForNetworkIdle();
      }
      return quantile(
        times.slice(1).sort((a, b) => a - b),
        0.5,
      );
    };
    const gather = await visited('gather', '.material-wall [data-material]');
    const gatherUnseen = await unseen();
    const compose = await visited(`projects/${project?.id ?? ''}`, '.compose .site .place');
    const composeUnseen = await unseen();

    await studio.press('button', /^Edit Words, part 1/);
    await page.waitForSelector('.words-editor:focus');
    const typed = 'Every letter of this sentence is a key that was pressed and painted. ';
    const wordsKey = quantile(await keyTimes(studio, typed), 0.95);

    const finders: number[] = [];
    for (let n = 0; n < 5; n++) {
      await page.keyboard.press('Escape');
      await page.evaluate(() => {
        window.addEventListener(
          'keydown',
          ({ timeStamp }) => (document.documentElement.dataset['pressed'] = String(timeStamp)),
          { once: true, capture: true },
        );
      });
      await page.keyboard.down('Control');
      const waiting = page.waitForFunction(
        () =>
          document.querySelector('[cmdk-item]') !== null &&
          performance.now() - Number(document.documentElement.dataset['pressed']),
        { polling: 'raf', timeout: 60_000 },
      );
      await page.keyboard.press('k');
      finders.push((await (await waiting).jsonValue()) as number);
      await page.keyboard.up('Control');
      if (n < 4) await page.keyboard.press('Escape');
    }
    // As many keys as in words: of a few, the slowest would stand for all.
    const asked = 'picture 4 and what is to be seen on it when the tide is out at noon ';
    const finderKey = quantile(await keyTimes(studio, asked, async () => {}), 0.95);
    return {
      compose,
      gather,
      composeUnseen,
      gatherUnseen,
      // The first fetches the dialog, if it was not yet.
      finder: finders.sort((a, b) => a - b)[2] ?? Number.NaN,
      finderKey,
      wordsKey,
    };
  } finally {
    await close();
  }
}

/** The studio with 300 pages and 5,000 pictures beside one with one page and 20. */
export async function benchLargeStudio(): Promise<Row[]> {
  const small = await measured(1, 20);
  const large = await measured(300, 5000);
  const row = (what: string, of: keyof Measured, most: number, unit: 'ms' | 'elements'): Row => ({
    what: `${what}, 300 pages and 5,000 pictures`,
    ours: unit === 'ms' ? milliseconds(large[of]) : String(large[of]),
    against: 'one page and 20 pictures',
    other: unit === 'ms' ? milliseconds(small[of]) : String(small[of]),
    ratio: large[of] / small[of],
    wanted: `at most ${most}${unit === 'ms' ? ' ms' : ''}`,
    reached: large[of] <= most,
  });
  return [
    row('Gather, until pictures can be chosen', 'gather', 2000, 'ms'),
    row('Compose, until the page stands', 'compose', 2000, 'ms'),
    row('elements out of sight in Gather', 'gatherUnseen', 2000, 'elements'),
    row('elements out of sight in Compose', 'composeUnseen', 2000, 'elements'),
    row('from Ctrl-K to its list', 'finder', 150, 'ms'),
    row('from a key to its letter in Ctrl-K, 95th of a hundred', 'finderKey', 50, 'ms'),
    row('from a key to its letter in words, 95th of a hundred', 'wordsKey', 50, 'ms'),
  ];
}
