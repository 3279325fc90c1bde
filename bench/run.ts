import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { writeFile } from 'node:fs/promises';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { benchGrowth } from './growth.ts';
import { benchImport } from './import.ts';
import { benchPublish } from './publish.ts';
import { benchServe } from './serve.ts';
import { benchLookAlikes } from './look-alikes.ts';
import { benchSaving } from './saving.ts';
import { benchSizes } from './sizes.ts';
import { benchTyping } from './typing.ts';
import { type Row, table } from './table.ts';

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
- The first publish of 30 projects is mostly the making of picture files, which later publishes find made.
- Import: the fastest of eight rounds on each side. What it does beyond bare sharp is to hash every byte (SHA-256, about
  6 % of the time here), to write the original safely to the disk and to record it. Over ten runs on
  a busy machine the ratio lay between 1.15 and 1.32, in the middle 1.23.
- Serving: as many reading processes as there are cores against as many workers of nginx, with wrk on the same cores. One
  process of Node's HTTP module, even answering a constant body, gave 0.3 to 0.5 of nginx in the same minutes. On machines where nginx gave
  44,000 a second the ratio was 0.53 to 0.68; where it gave 62,000, two runs gave 0.49 and 0.40.
- Typing: Event Timing as the browser gives it, in steps of 8 ms; 16 is its least. Before words were taken over in pauses
  and unchanged parts were left alone, the same page gave 64 ms, 160 ms and 264 ms in the same hour.
- Saving: before the studio's statements remembered what they were made from, the same two took 837 ms and 79 ms; before parts
  were told apart by what they were compared with last, 209 ms and 52 ms.
- Growth: with all parts of a page in one column, 300 of the same saves took 106.8 KB each.
- Sizes: the first load was 251 KB before rooms, dialogs and notices were fetched when they are needed; the limits of the rooms
  are a little above what they take, so that none grows unnoticed.
`;

const wanted = process.argv.slice(2);
const benches: Record<string, () => Promise<Row | Row[]>> = {
  import: benchImport,
  publish: benchPublish,
  serve: benchServe,
  looks: benchLookAlikes,
  saving: benchSaving,
  growth: benchGrowth,
  typing: benchTyping,
  sizes: benchSizes,
};
const rows: Row[] = [];
for (const [name, bench] of Object.entries(benches)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  console.log(`Measuring ${name} …`);
  rows.push(...[await bench()].flat());
}
console.log(`\n${table(rows)}\n`);
if (wanted.length === 0) {
  const head = `# Performance

Made by \`npm run bench\`, which measures both sides of every line in one run and takes the median. Absolute numbers
depend on the machine (here ${cpus().length} cores); the ratios are what counts.

`;
  await writeFile(join(root, 'docs/performance.md'), `${head}${table(rows)}\n${remarks}`);
}
