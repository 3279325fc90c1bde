import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import { themeNames } from '../core/look/theme-names.ts';
import { openDemoStudio } from './support/demo-studio.ts';
import { readWords } from './support/read-words.ts';
import { lookOf, openDraft, wear } from './support/worn-look.ts';

/**
 * `npm run contact-print`: every theme, by day and by night, on every kind of page the demo has, at two widths, on one sheet a theme
 * in `.cache/contact-print`; and every word on them held against what lies under it.
 */
const out = join(import.meta.dirname, '../.cache/contact-print');
const pages = [
  '',
  'for-the-harbour/',
  'for-the-harbour/tide-clock/',
  'workshop-notes/',
  'about/',
  'resume/',
  'tagged/clock/',
];
const widths = [390, 1280];
/** Height of what is kept of a page, in its own pixels, and how much smaller it is printed. */
const [highPx, smaller] = [2600, 0.2];

await mkdir(out, { recursive: true });
const demo = await openDemoStudio();
const site = demo.rooms.split('/').at(-1) ?? '';
const page = demo.studio.page;
let unreadable = 0;
for (const theme of themeNames) {
  const prints: { input: Buffer; left: number; top: number }[] = [];
  let [left, top, most] = [0, 0, 0];
  for (const scheme of ['light', 'dark'] as const) {
    await page.goto(`${demo.server.origin}/`);
    await wear(page, site, lookOf(theme, { scheme }));
    for (const width of widths)
      for (const path of pages) {
        await page.setViewport({ width, height: width < 500 ? 844 : 800 });
        await openDraft(page, demo.server.origin, site, path);
        const { below, lines, closest } = await readWords(page);
        console.log(
          `${theme} ${scheme} ${width} /${path}: ${lines} lines, closest ${(closest * 100).toFixed(0)} % of what is needed`,
        );
        for (const { words, ratio, needs } of below) console.log(`  ${ratio} of ${needs}: ${words}`);
        unreadable += below.length;
        const shot = sharp(await page.screenshot({ fullPage: true }));
        const { height } = await shot.metadata();
        const input = await sharp(
          await shot
            .extract({ left: 0, top: 0, width, height: Math.min(height, highPx) })
            .png()
            .toBuffer(),
        )
          .resize({ width: Math.round(width * smaller) })
          .png()
          .toBuffer();
        prints.push({ input, left, top });
        left += Math.round(width * smaller) + 8;
        most = Math.max(most, left);
      }
    left = 0;
    top += highPx * smaller + 8;
  }
  const sheet = sharp({ create: { width: most, height: top, channels: 3, background: '#777' } });
  await writeFile(join(out, `${theme}.png`), await sheet.composite(prints).png().toBuffer());
  console.log(`.cache/contact-print/${theme}.png`);
}
console.log(unreadable === 0 ? 'Every word can be read.' : `${unreadable} lines are below what they need.`);
await demo.close();
process.exitCode = unreadable === 0 ? 0 : 1;
