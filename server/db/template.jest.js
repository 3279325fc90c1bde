import { existsSync, mkdirSync, readFileSync, statSync, readdirSync, writeFileSync } from 'node:fs';
import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';

const root = join(import.meta.dirname, '../..');
const newest = (folder) =>
  Math.max(
    ...readdirSync(folder, { recursive: true, withFileTypes: true })
      .filter((one) => one.isFile())
      .map((one) => statSync(join(one.parentPath ?? one.path, one.name)).mtimeMs),
  );

/** Makes what server tests start from, when it is missing or older than its source. */
export default function prepare() {
  const template = join(root, 'dist/pglite-template.tar.gz');
  if (!existsSync(template) || statSync(template).mtimeMs < newest(join(root, 'server/db/migrations')))
    execFileSync(process.execPath, ['--import', 'tsx', join(root, 'build/database-template.ts')], {
      cwd: root,
      stdio: 'inherit',
    });
  // Each test file opens it once: unpacking it each time would be most of that.
  const unpacked = join(root, '.cache/pglite-template.tar');
  if (!existsSync(unpacked) || statSync(unpacked).mtimeMs < statSync(template).mtimeMs) {
    mkdirSync(join(root, '.cache'), { recursive: true });
    writeFileSync(unpacked, gunzipSync(readFileSync(template)));
  }
  // What looks into files runs as a program of its own, in tests as well; bundling it takes a moment.
  const reading = join(root, 'dist/reading.js');
  const looking = join(root, 'dist/looking.js');
  const code = ['server', 'core', 'contract'].map((folder) => newest(join(root, folder)));
  if (!existsSync(reading) || !existsSync(looking) || statSync(reading).mtimeMs < Math.max(...code))
    execFileSync(process.execPath, ['--import', 'tsx', join(root, 'build/reading-program.ts')], {
      cwd: root,
      stdio: 'inherit',
    });
  const index = join(root, 'dist/site-assets/index.json');
  const sources = ['site/styles', 'site/themes', 'site/enhance'].map((folder) => newest(join(root, folder)));
  if (!existsSync(index) || statSync(index).mtimeMs < Math.max(...sources))
    execFileSync(process.execPath, ['--import', 'tsx', join(root, 'build/site-assets.ts')], {
      cwd: root,
      stdio: 'inherit',
    });
}
