import { quantile } from '#e2e/support/typing.ts';
import { openBenchStudio } from './bench-studio.ts';
import { fillSite } from './large-site.ts';
import { milliseconds, type Row } from './table.ts';

interface Measured {
  /** From asking for the room to its first row, in ms. */
  open: number;
  /** Between two frames while the table is scrolled through, the 95th of a hundred, in ms. */
  frame: number;
  elements: number;
}

/** How the table of who gets what opens and scrolls, of so many pages by so many passes. */
async function measured(pageCount: number, passCount: number): Promise<Measured> {
  const { running, page, origin, site, account, post, close } = await openBenchStudio();
  try {
    await fillSite(running.publishing.db, { site, account }, pageCount, 20);
    const terms = { opens: 'site', from: null, until: null, timeZone: 'UTC', mayDownload: true };
    const passes = Array.from({ length: passCount }, (_, at) => ({
      ...terms,
      label: `Pass ${at}`,
      forWhom: '',
    }));
    await post(`/api/sites/${site}/passes`, { passes });
    const times: number[] = [];
    for (let n = 0; n < 6; n++) {
      await page.goto(`${origin}/studio/${site}/share/who`, { waitUntil: 'domcontentloaded' });
      const at = await page.waitForFunction(
        () => document.querySelector('[aria-label="Who gets what"] tbody th') !== null && performance.now(),
        { polling: 'raf', timeout: 120_000 },
      );
      times.push((await at.jsonValue()) as number);
      await page.waitForNetworkIdle();
    }
    const frames = await page.evaluate(async () => {
      const table = document.querySelector('[aria-label="Who gets what"]');
      const gaps: number[] = [];
      let last = performance.now();
      for (let n = 0; table && n < 300; n++) {
        await new Promise(requestAnimationFrame);
        const now = performance.now();
        gaps.push(now - last);
        last = now;
        // Down through all of it, then sideways through all columns.
        if (n < 200) table.scrollTop += 60;
        else table.scrollLeft += 40;
      }
      return gaps.slice(1).sort((a, b) => a - b);
    });
    const elements = await page.evaluate(
      () => document.querySelectorAll('[aria-label="Who gets what"] *').length,
    );
    return {
      open: quantile(
        times.slice(1).sort((a, b) => a - b),
        0.5,
      ),
      frame: quantile(frames, 0.95),
      elements,
    };
  } finally {
    await close();
  }
}

/** Who gets what of 300 pages by 40 passes beside one of 30 pages by 4. */
export async function benchWhoGetsWhat(): Promise<Row[]> {
  const small = await measured(30, 4);
  const large = await measured(300, 40);
  const row = (what: string, of: keyof Measured, most: number): Row => ({
    what: `${what}, 300 pages by 40 passes`,
    ours: of === 'elements' ? String(large[of]) : milliseconds(large[of]),
    against: '30 pages by 4 passes',
    other: of === 'elements' ? String(small[of]) : milliseconds(small[of]),
    ratio: large[of] / small[of],
    wanted: `at most ${most}${of === 'elements' ? '' : ' ms'}`,
    reached: large[of] <= most,
  });
  return [
    row('Who gets what, until its first row', 'open', 2000),
    row('Who gets what, between two frames of scrolling, 95th of a hundred', 'frame', 50),
    row('Who gets what, elements drawn', 'elements', 12_000),
  ];
}
