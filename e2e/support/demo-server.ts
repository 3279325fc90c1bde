import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync } from 'node:fs';
import { cp, mkdtemp, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const root = join(import.meta.dirname, '../..');

function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });
}

/**
 * Puts demo data into a folder. It is made once for each build, by the demo itself, and copied for each test that wants it.
 *
 * @returns the port at which the links in it expect the stand-ins
 */
async function demoData(folder: string): Promise<string> {
  const template = join(root, '.cache/demo');
  const stamp = join(template, 'made-by');
  const build = String((await stat(join(root, 'dist/built'))).mtimeMs);
  const made = existsSync(stamp) ? (await readFile(stamp, 'utf8')).split(' ') : [];
  if (made[0] !== build) {
    await rm(template, { recursive: true, force: true });
    const making = `${template}-making`;
    await rm(making, { recursive: true, force: true });
    const port = String(await freePort());
    await BuiltServer.makeDemo(join(making, 'data'), { STANDINS_PORT: port });
    await writeFile(join(making, 'made-by'), `${build} ${port}`);
    await rename(making, template);
    made[1] = port;
  }
  await cp(join(template, 'data'), folder, { recursive: true });
  return made[1] ?? '0';
}

/** The built program in a process of its own, as a maker runs it, with a data folder that is thrown away. */
export class BuiltServer {
  #child: ChildProcess | null = null;
  /** Origin of the demo's stand-ins; empty for a server that starts empty. */
  standIns = '';
  readonly #program: string;
  readonly #port: number;

  private constructor(
    readonly origin: string,
    readonly folder: string,
    program: string,
    port: number,
    readonly environment: Record<string, string>,
  ) {
    this.#program = program;
    this.#port = port;
  }

  /** @param program `server` starts empty, `demo` with demo data */
  static async start(
    program: 'server' | 'demo',
    environment: Record<string, string> = {},
  ): Promise<BuiltServer> {
    const folder = await mkdtemp(join(tmpdir(), 'kite-wall-e2e-'));
    if (program === 'server') return BuiltServer.#on(folder, program, environment);
    const standInsPort = await demoData(folder);
    return BuiltServer.#on(folder, program, { STANDINS_PORT: standInsPort, ...environment });
  }

  static async #on(
    folder: string,
    program: 'server' | 'demo',
    environment: Record<string, string>,
  ): Promise<BuiltServer> {
    const port = await freePort();
    const server = new BuiltServer(`http://127.0.0.1:${port}`, folder, program, port, environment);
    await server.run();
    return server;
  }

  /** Makes demo data in a folder and ends as the program itself would. */
  static async makeDemo(folder: string, environment: Record<string, string>): Promise<void> {
    const server = await BuiltServer.#on(folder, 'demo', environment);
    await server.#end('SIGTERM');
  }

  get process(): number {
    return this.#child?.pid ?? 0;
  }

  /** Starts the process on the same data folder; used again after `kill`. */
  async run(): Promise<void> {
    const child = spawn(process.execPath, [join(root, `dist/${this.#program}.js`)], {
      cwd: root,
      env: {
        ...process.env,
        // Opening every link after each publish is tested where it is asked for.
        OUTSIDER_TEST: '0',
        // A busy machine makes pages slowly; that readers are told so is not what is looked at.
        MAKING_SECONDS: '100',
        PORT: String(this.#port),
        STANDINS_PORT: '0',
        DATA_DIR: this.folder,
        DATABASE_URL: '',
        ...this.environment,
      },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    this.#child = child;
    let said = '';
    await new Promise<void>((resolve, reject) => {
      const hear = (chunk: Buffer) => {
        said += chunk.toString();
        if (!said.includes('Kite Wall is open')) return;
        this.standIns = /web pages: (\S+)\/open/.exec(said)?.[1] ?? '';
        resolve();
      };
      child.stdout.on('data', hear);
      child.stderr.on('data', hear);
      child.once('exit', (code) => reject(new Error(`The server stopped with ${code}:\n${said}`)));
    });
  }

  /** Pulls the plug: no time to finish anything. */
  kill(): Promise<void> {
    return this.#end('SIGKILL');
  }

  async #end(signal: NodeJS.Signals): Promise<void> {
    const child = this.#child;
    if (!child || child.exitCode !== null) return;
    const gone = new Promise((resolve) => child.once('exit', resolve));
    child.kill(signal);
    await gone;
  }

  async stop(): Promise<void> {
    await this.kill();
    await rm(this.folder, { recursive: true, force: true });
  }
}
