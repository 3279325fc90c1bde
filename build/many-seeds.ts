/**
 * `npm run seeds -- 200`: core's property tests that many times over, each time with another seed. Not part of every run;
 * a failure prints its seed, with which `PROPERTY_SEED=… npm run test:unit` fails again.
 */
import { spawn } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';

const root = join(import.meta.dirname, '..');
const [count = '200', first = String(Date.now() % 1_000_000)] = process.argv.slice(2);
const files = readdirSync(join(root, 'core'), { recursive: true, encoding: 'utf8' })
  .filter((name) => name.endsWith('.test.ts'))
  .map((name) => join('core', name))
  .filter((name) => readFileSync(join(root, name), 'utf8').includes("from 'fast-check'"));
const seeds = Array.from({ length: Number(count) }, (_, at) => Number(first) + at * 7919);
console.log(`${files.length} files, ${count} seeds from ${first}`);

/** What the tests print with some seeds; null when all pass. */
function failureWith(some: readonly number[]): Promise<string | null> {
  return new Promise((resolve) => {
    const child = spawn(
      process.execPath,
      [
        ...['node_modules/jest/bin/jest.js', '--config', 'build/tests-in-one.config.js'],
        ...['--runInBand', '--silent'],
      ],
      {
        cwd: root,
        stdio: ['ignore', 'ignore', 'pipe'],
        env: {
          ...process.env,
          NODE_OPTIONS: '--experimental-vm-modules --no-warnings',
          TEST_FILES: files.join(','),
          SEEDS: some.join(','),
        },
      },
    );
    let said = '';
    child.stderr.on('data', (piece: Buffer) => (said += piece.toString()));
    child.on('exit', (code) => resolve(code === 0 ? null : said));
  });
}

/** So many at a time: what all of them need is read once for them. */
const together = 5;
const batches = Array.from({ length: Math.ceil(seeds.length / together) }, (_, at) =>
  seeds.slice(at * together, (at + 1) * together),
);
let [next, done, failed] = [0, 0, 0];
await Promise.all(
  Array.from({ length: availableParallelism() }, async () => {
    for (let batch = batches[next++]; batch; batch = batches[next++]) {
      const failure = await failureWith(batch);
      if (failure !== null) {
        failed++;
        console.log(`Of the seeds ${batch.join(', ')} one fails:\n${failure}`);
      }
      done += batch.length;
      if (done % 20 < together) console.log(`${done} done, ${failed} times something failed`);
    }
  }),
);
process.exit(failed === 0 ? 0 : 1);
