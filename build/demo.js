/**
 * `npm run demo`: installs when needed, builds when something changed, and starts with demo data. Plain JavaScript
 * without packages, since it runs before they are there.
 */
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { installPackages } from './install.js';

const root = join(import.meta.dirname, '..');
const run = (command, args) => {
  const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit' });
  if (status !== 0) process.exit(status ?? 1);
};

installPackages(root);

const sources = [
  'core',
  'site',
  'server',
  'studio',
  'contract',
  'demo',
  'standins',
  'build',
  'package-lock.json',
  'vite.config.ts',
];
const newest = (path) => {
  const found = statSync(path);
  if (!found.isDirectory()) return found.mtimeMs;
  return Math.max(0, ...readdirSync(path).map((name) => newest(join(path, name))));
};
const built = join(root, 'dist/built');
if (
  !existsSync(built) ||
  statSync(built).mtimeMs < Math.max(...sources.map((path) => newest(join(root, path))))
) {
  console.log('Building.');
  run(process.execPath, ['--import', 'tsx', 'build/build.ts']);
}

const child = spawnSync(
  process.execPath,
  ['--enable-source-maps', 'dist/demo.js', ...process.argv.slice(2)],
  {
    cwd: root,
    stdio: 'inherit',
  },
);
process.exit(child.status ?? 0);
