import { format } from 'date-fns';
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { readFile, writeFile } from 'node:fs/promises';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { z } from 'zod';
import { benchCheck } from './check.ts';
import { benchEncoders } from './encoders.ts';
import { benchFirstPublish } from './first-publish.ts';
import { benchFit } from './fit.ts';
import { benchLine } from './line.ts';
import { benchLineStudio } from './line-studio.ts';
import { benchGrowth } from './growth.ts';
import { benchImport } from './import.ts';
import { benchLargeStudio } from './large-studio.ts';
import { benchPassesPublish, benchPublish } from './publish.ts';
import { benchManySites } from './many-sites.ts';
import { benchServe } from './serve.ts';
import { benchLighthouse } from './lighthouse.ts';
import { benchWhoGetsWhat } from './who-gets-what.ts';
import { benchLook } from './look.ts';
import { benchLookAlikes } from './look-alikes.ts';
import { benchLooking } from './looking.ts';
import { benchSaving } from './saving.ts';
import { benchSizes } from './sizes.ts';
import { benchTyping } from './typing.ts';
import { type Row, rowSchema, table } from './table.ts';

const root = join(import.meta.dirname, '..');

/** What the benches compare with, by the Debian package that brings it. */
const programs = { 'nginx-light': '/usr/sbin/nginx', wrk: '/usr/bin/wrk' };
const missing = Object.entries(programs).flatMap(([name, path]) => (existsSync(path) ? [] : [name]));
if (missing.length > 0)
  spawnSync(
    'sh',
    ['-c', `apt-get update -qq && apt-get install -y -qq --no-install-recommends ${missing.join(' ')}`],
    {
      stdio: 'inherit',
    },
  );
if (!existsSync(join(root, 'dist/built')))
  spawnSync(process.execPath, ['--import', 'tsx', 'build/build.ts'], { cwd: root, stdio: 'inherit' });

/** What the numbers alone do not say. */
const remarks = `
- The first publish of 30 projects is mostly the making of picture files, which later publishes find made, and which are
  made before anybody publishes where a server runs. As files were made before, the same publish took 81.9 s in the same hour (AVIF is
  now made with the least effort: a fifth of the time, 3 % more bytes, SSIM 0.9907 instead of 0.9915).
- Import: the fastest of eight rounds on each side. What it does beyond bare sharp is to hash every byte (SHA-256, about
  6 % of the time here), to write the original safely to the disk and to record it. Over ten runs on
  a busy machine the ratio lay between 1.15 and 1.32, in the middle 1.23.
- Serving: as many reading processes as there are cores against as many workers of nginx, with wrk on the same cores. One
  process of Node's HTTP module, even answering a constant body, gave 0.3 to 0.5 of nginx in the same minutes. On machines where nginx gave
  44,000 a second the ratio was 0.53 to 0.68; where it gave 62,000, two runs gave 0.49 and 0.40.
- Typing: Event Timing as the browser gives it, in steps of 8 ms; 16 is its least. Before words were taken over in pauses
  and unchanged parts were left alone, the same page gave 64 ms, 160 ms and 264 ms in the same hour.
- Saving: before the studio's statements remembered what they were made from, the same two took 837 ms and 79 ms; before parts
  were told apart by what they were compared with last, 209 ms and 52 ms; before materials were, 177 ms and 60 ms.
- Growth: with all parts of a page in one column, 300 of the same saves took 106.8 KB each.
- A large studio: Compose drew 20,867 elements, and Ctrl-K opened in 3.0 s and took 1.3 s a key, when everything was drawn.
- Sizes: the first load was 251 KB before rooms, dialogs and notices were fetched when they are needed; the limits of the rooms
  are a little above what they take, so that none grows unnoticed.
`;

const wanted = process.argv.slice(2);
const benches: Record<string, () => Promise<Row | Row[]>> = {
  import: benchImport,
  encoders: benchEncoders,
  publish: benchPublish,
  passes: benchPassesPublish,
  first: benchFirstPublish,
  serve: benchServe,
  look: benchLook,
  looks: benchLookAlikes,
  looking: benchLooking,
  saving: benchSaving,
  growth: benchGrowth,
  sites: benchManySites,
  check: benchCheck,
  typing: benchTyping,
  large: benchLargeStudio,
  who: benchWhoGetsWhat,
  fit: benchFit,
  line: benchLine,
  lineStudio: benchLineStudio,
  sizes: benchSizes,
  lighthouse: benchLighthouse,
};
const resultsFile = join(root, 'bench/results.json');

/** What was measured last of each bench, and when. */
const resultsSchema = z.record(z.string(), z.object({ on: z.string(), rows: z.array(rowSchema) }));
const results = resultsSchema.parse(JSON.parse(await readFile(resultsFile, 'utf8').catch(() => '{}')));

for (const [name, bench] of Object.entries(benches)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  console.log(`Measuring ${name} …`);
  const rows = [await bench()].flat();
  console.log(`\n${table(rows)}\n`);
  results[name] = { on: format(new Date(), 'd MMMM yyyy'), rows };
  await writeFile(resultsFile, `${JSON.stringify(results, null, 1)}\n`);
}
const measured = Object.keys(benches).flatMap((name) => {
  const { on, rows } = results[name] ?? { on: '', rows: [] };
  return rows.map((row) => ({ ...row, on }));
});
const head = `# Performance

Made by \`npm run bench\`, which measures both sides of a line in one run and takes the median; \`npm run bench -- saving sizes\`
measures some lines again and leaves the others. Absolute numbers depend on the machine (here ${cpus().length} cores); the ratios are
what counts.

`;
await writeFile(join(root, 'docs/performance.md'), `${head}${table(measured)}\n${remarks}`);
