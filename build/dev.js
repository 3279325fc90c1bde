/**
 * `npm run dev`: the server restarts and the studio reloads while you work. The studio is at port 4181 and hands
 * everything that is not its own on to the server at 4180.
 */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { installPackages } from './install.js';

const root = join(import.meta.dirname, '..');
installPackages(root);
const tsx = ['--import', 'tsx'];
if (!existsSync(join(root, 'dist/pglite-template.tar.gz')))
  spawnSync(process.execPath, [...tsx, 'build/database-template.ts'], { cwd: root, stdio: 'inherit' });
spawnSync(process.execPath, [...tsx, 'build/site-assets.ts'], { cwd: root, stdio: 'inherit' });
spawnSync(process.execPath, [...tsx, 'build/reading-program.ts'], { cwd: root, stdio: 'inherit' });

const start = (command, args, environment = {}) =>
  spawn(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...environment } });
const children = [
  start(join(root, 'node_modules/.bin/tsx'), ['watch', 'server/main.ts'], {
    READERS: '0',
    DATA_DIR: process.env.DATA_DIR ?? 'data/dev',
  }),
  start(join(root, 'node_modules/.bin/vite'), ['--config', 'vite.config.ts']),
];
for (const child of children) child.on('exit', () => children.forEach((other) => other.kill()));
