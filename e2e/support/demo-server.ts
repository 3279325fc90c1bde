import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
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
    const port = await freePort();
    const server = new BuiltServer(`http://127.0.0.1:${port}`, folder, program, port, environment);
    await server.run();
    return server;
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
  async kill(): Promise<void> {
    const child = this.#child;
    if (!child || child.exitCode !== null) return;
    const gone = new Promise((resolve) => child.once('exit', resolve));
    child.kill('SIGKILL');
    await gone;
  }

  async stop(): Promise<void> {
    await this.kill();
    await rm(this.folder, { recursive: true, force: true });
  }
}
