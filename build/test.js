/**
 * `npm test`: installs what is missing, then lint, types, unit tests and browser tests, and one closing line with
 * the real totals. Plain JavaScript without packages, since it runs before they are there.
 */
import { spawn, spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import { setPriority } from 'node:os';
import { join, relative } from 'node:path';
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
const jestEnvironment = { ...process.env, NODE_OPTIONS: '--experimental-vm-modules --no-warnings' };
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

// Lint takes longer than all the rest that only reads the code, and with one processor: it runs beside that, and goes on beside the tests.
const lint = quietly('lint', bin('eslint'), ['.']);
await quietly('format', bin('prettier'), ['--check', '--log-level', 'warn', '.']);
for (const project of ['tsconfig.core.json', 'tsconfig.json', 'tsconfig.studio.json', 'tsconfig.worker.json'])
  await quietly(`types, ${project}`, bin('tsc'), ['-p', project]);
step('build', run(process.execPath, ['--import', 'tsx', 'build/build.ts']));

/** The files of a project's tests. */
const suitesOf = (project) => {
  const { stdout } = spawnSync(bin('jest'), ['--listTests', '--json', '--selectProjects', project], {
    cwd: root,
    encoding: 'utf8',
    env: jestEnvironment,
  });
  return JSON.parse(stdout.slice(stdout.indexOf('[')));
};

/** Ends every process that was started with a mark among its settings, whoever started it and whatever group it is in. */
const endMarked = (mark) => {
  for (const pid of readdirSync('/proc').filter((name) => /^\d+$/.test(name)))
    try {
      if (readFileSync(`/proc/${pid}/environ`, 'utf8').includes(mark)) process.kill(Number(pid), 'SIGKILL');
    } catch {
      // It has ended meanwhile, or is somebody else's.
    }
};

/**
 * Runs Jest, and files what came of it.
 *
 * @param file where the results go
 * @param args what Jest is told besides
 * @param nice how far it steps back behind other processes
 * @param mostMs after so long it is ended with the servers and browsers it started; 0: it takes as long as it takes
 * @returns whether it came to an end by itself
 */
const jest = (file, args, { nice = 0, mostMs = 0 } = {}) =>
  new Promise((resolve) => {
    rmSync(file, { force: true });
    const mark = `KITE_WALL_RUN=${randomUUID()}`;
    const child = spawn(bin('jest'), ['--json', '--outputFile', file, ...args], {
      cwd: root,
      stdio: 'inherit',
      env: { ...jestEnvironment, KITE_WALL_RUN: mark.split('=')[1] },
    });
    // What it starts from now on is as nice.
    if (child.pid !== undefined) setPriority(child.pid, nice);
    let ended = true;
    const timer =
      mostMs > 0 &&
      setTimeout(() => {
        ended = false;
        endMarked(mark);
      }, mostMs);
    const done = () => {
      clearTimeout(timer);
      resolve(ended);
    };
    child.on('error', done);
    child.on('close', done);
  });

/** Adds what a run of Jest came to. */
const count = (name, file) => {
  if (!existsSync(file)) return step(`${name} ran`, false);
  const totals = JSON.parse(readFileSync(file, 'utf8'));
  passed += totals.numPassedTests;
  failed += totals.numFailedTests + totals.numRuntimeErrorTestSuites;
  if (totals.numTotalTests === 0) step(`${name} ran`, false);
};

const unitTests = async () => {
  const file = join(results, 'unit.json');
  await jest(file, ['--selectProjects', 'unit', '--maxWorkers=100%'], { nice: 10 });
  count('unit tests', file);
};

/** Longer than any of them takes on a machine that does something else besides, in ms: 15 minutes. */
const mostForSuiteMs = 15 * 60_000;

/**
 * Runs one browser test after the other, as long as there are some; each starts a server and a browser of its own. Each runs in a process
 * of its own: one that stands still is ended, named and begun once more, and holds up nobody else. One that fails is not.
 *
 * @param suites their files
 */
const browserTests = async (suites) => {
  const file = join(results, 'browser.json');
  for (const suite of suites) {
    const name = relative(root, suite);
    const args = ['--selectProjects', 'browser', '--runInBand', '--runTestsByPath', suite];
    const run = () => jest(file, args, { mostMs: mostForSuiteMs });
    let ended = await run();
    if (!ended) {
      console.log(`${name} stood still for ${mostForSuiteMs / 60_000} minutes and was ended. Once more.`);
      ended = await run();
    }
    if (ended) count(name, file);
    else step(`${name} came to an end`, false);
  }
};

const suites = suitesOf('browser').sort((one, other) => statSync(other).size - statSync(one).size);
if (suites.length === 0) step('browser tests ran', false);
// A browser draws with one processor while the others wait; what needs no browser uses those, and steps back for it. Never two browser
// tests at once: the links in the demo data they copy lead to one port, where the stand-ins of one of them answer.
await Promise.all([lint, browserTests(suites), unitTests()]);

console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
