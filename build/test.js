/**
 * `npm test`: installs what is missing, then lint, types, unit tests and browser tests, and one closing line with
 * the real totals. Plain JavaScript without packages, since it runs before they are there.
 */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { setPriority } from 'node:os';
import { join } from 'node:path';
import { installPackages } from './install.js';

const root = join(import.meta.dirname, '..');
const results = join(root, '.cache');
mkdirSync(results, { recursive: true });

const run = (command, args, environment = {}) =>
  spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...environment } })
    .status === 0;

installPackages(root);

/** Programs the tests drive or compare with, by the Debian package that brings them. */
const programs = {
  chromium: '/usr/bin/chromium',
  'libimage-exiftool-perl': '/usr/bin/exiftool',
  // Decoders that have nothing in common with ours, to look into what was published.
  'libjpeg-turbo-progs': '/usr/bin/djpeg',
  webp: '/usr/bin/dwebp',
  'libavif-bin': '/usr/bin/avifdec',
  // Makes and reads pictures as phones do.
  'libheif-examples': '/usr/bin/heif-enc',
  // Readers and writers of documents, to compare with.
  pandoc: '/usr/bin/pandoc',
  'poppler-utils': '/usr/bin/pdftotext',
  qpdf: '/usr/bin/qpdf',
  // Real photographs to tell apart.
  'mate-backgrounds': '/usr/share/backgrounds/mate/nature/LadyBird.jpg',
};
const missing = Object.keys(programs).filter(
  (name) => !existsSync(programs[name]) && !(name === 'chromium' && process.env.CHROMIUM),
);
if (missing.length > 0) {
  console.log(`Installing ${missing.join(', ')} from Debian's packages.`);
  const installed =
    run('apt-get', ['update', '-qq']) &&
    run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...missing], {
      DEBIAN_FRONTEND: 'noninteractive',
    });
  if (!installed) {
    console.error(`The tests need ${missing.join(' and ')}. Install them and start again.`);
    process.exit(1);
  }
}

let passed = 0;
let failed = 0;
const step = (name, ok) => {
  console.log(`${ok ? 'ok' : 'FAILED'}: ${name}`);
  if (ok) passed++;
  else failed++;
};
const bin = (name) => join(root, 'node_modules/.bin', name);

/** Runs a command and keeps what it says until it has ended: two of them side by side would talk into each other. */
const quietly = (name, command, args) =>
  new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (piece) => (said += piece));
    child.on('error', (error) => (said += String(error)));
    child.on('close', (code) => {
      process.stdout.write(said);
      step(name, code === 0);
      resolve();
    });
  });

// Lint takes as long as all the rest that only reads the code, so it runs beside it.
await Promise.all([
  quietly('lint', bin('eslint'), ['.']),
  (async () => {
    await quietly('format', bin('prettier'), ['--check', '--log-level', 'warn', '.']);
    for (const project of [
      'tsconfig.core.json',
      'tsconfig.json',
      'tsconfig.studio.json',
      'tsconfig.worker.json',
      'tsconfig.e2e.json',
    ])
      await quietly(`types, ${project}`, bin('tsc'), ['-p', project]);
  })(),
]);
step('build', run(process.execPath, ['--import', 'tsx', 'build/build.ts']));

const fileOf = (project) => join(results, `${project}.json`);

/**
 * Runs the tests of a project, and files what came of it.
 *
 * @param workers how many run at once, as Jest is told
 * @param nice how far they step back behind other processes
 */
const tests = (project, workers, nice) =>
  new Promise((resolve) => {
    rmSync(fileOf(project), { force: true });
    const child = spawn(
      bin('jest'),
      ['--selectProjects', project, '--json', '--outputFile', fileOf(project), `--maxWorkers=${workers}`],
      {
        cwd: root,
        stdio: 'inherit',
        env: { ...process.env, NODE_OPTIONS: '--experimental-vm-modules --no-warnings' },
      },
    );
    // What it starts from now on is as nice.
    if (child.pid !== undefined) setPriority(child.pid, nice);
    child.on('error', resolve);
    child.on('close', resolve);
  });

// A browser draws with one processor while the others wait; what needs no browser uses those, and steps back for it. Browser tests
// each start a server and a browser of their own: one after the other.
await Promise.all([tests('browser', '1', 0), tests('unit', '100%', 10)]);
for (const project of ['unit', 'browser']) {
  if (!existsSync(fileOf(project))) {
    step(`${project} tests ran`, false);
    continue;
  }
  const totals = JSON.parse(readFileSync(fileOf(project), 'utf8'));
  passed += totals.numPassedTests;
  failed += totals.numFailedTests + totals.numRuntimeErrorTestSuites;
  if (totals.numTotalTests === 0) step(`${project} tests ran`, false);
}

console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
