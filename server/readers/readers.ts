import cluster, { type Worker } from 'node:cluster';
import type { Visit } from '../visits/visit-in.ts';
import { toOwnerSchema, type ToReader } from './messages.ts';

/** How long a reader may take to drop what it keeps before it is ended instead, in ms. */
const patience = 2000;

/** How long to wait before an ended reader is replaced, in ms. */
const pause = 300;

/**
 * The reading processes: they share the port, answer the public files they keep, and pass everything else to this
 * process, which alone owns the data. When something is closed to readers, `clear` resolves only after no reader
 * process can answer with it any more.
 */
export class Readers {
  readonly #count: number;
  /** The readers that take requests or are about to, and who waits for each. */
  readonly #waiting = new Map<Worker, Set<() => void>>();
  #open: Omit<Extract<ToReader, { kind: 'open' }>, 'age'> | null = null;
  #age = 0;
  #stopping = false;
  /** Told of each visit that a reader has answered by itself. */
  onVisit: (visit: Visit) => void = () => {};

  /** @param program the built file of a reader */
  constructor(count: number, program: string) {
    this.#count = count;
    cluster.setupPrimary({ exec: program, args: [] });
    // The system hands out connections; passing each through this process would cost what readers are to save.
    cluster.schedulingPolicy = cluster.SCHED_NONE;
    cluster.on('exit', (worker) => {
      this.#done(worker);
      this.#waiting.delete(worker);
      // Not at once: a reader that cannot start would otherwise be started thousands of times.
      setTimeout(() => {
        if (!this.#stopping && this.#open) void this.#fork(this.#open).catch(() => {});
      }, pause).unref();
    });
  }

  /**
   * @param owner path of the local socket this process answers at
   * @param secure whether the studio's cookie goes only over HTTPS
   * @returns the port they listen on
   * @throws the system's error when they cannot listen there
   */
  async start(host: string, port: number, owner: string, secure: boolean): Promise<number> {
    const open = { kind: 'open' as const, host, port, owner, secure };
    const [first] = await Promise.all(Array.from({ length: this.#count }, () => this.#fork(open)));
    this.#open = { ...open, port: first ?? port };
    return this.#open.port;
  }

  /** Makes every reader drop what it keeps of these sites; resolves when all have, or are gone. */
  async clear(sites: readonly string[], age: number): Promise<void> {
    this.#age = age;
    const message = { kind: 'clear' as const, age, sites: [...sites] };
    await Promise.all([...this.#waiting].map(([worker, waiting]) => this.#cleared(worker, waiting, message)));
  }

  /** Lets the readers finish what they are answering and ends them; one that is only starting is ended at once. */
  async stop(): Promise<void> {
    this.#stopping = true;
    await Promise.all(
      Object.values(cluster.workers ?? {}).map(
        (worker) =>
          new Promise<void>((resolve) => {
            if (!worker || worker.isDead()) return resolve();
            const end = () => worker.process.kill('SIGKILL');
            const late = setTimeout(end, patience);
            worker.once('exit', () => {
              clearTimeout(late);
              resolve();
            });
            if (this.#waiting.has(worker)) this.#send(worker, { kind: 'stop' });
            else end();
          }),
      ),
    );
  }

  #fork(open: Omit<Extract<ToReader, { kind: 'open' }>, 'age'>): Promise<number> {
    return new Promise((resolve, reject) => {
      const worker = cluster.fork();
      worker.on('message', (raw) => {
        const message = toOwnerSchema.parse(raw);
        // A message sent before the program listens for one would be lost.
        if (message.kind === 'hearing') {
          this.#waiting.set(worker, new Set());
          this.#send(worker, { ...open, age: this.#age });
        } else if (message.kind === 'listening') resolve(message.port);
        else if (message.kind === 'failed') {
          reject(Object.assign(new Error(message.message), { code: message.code }));
          worker.process.kill('SIGKILL');
        } else if (message.kind === 'seen') for (const visit of message.visits) this.onVisit(visit);
        else if (message.age === this.#age) this.#done(worker);
      });
      worker.once('exit', () => reject(new Error('A reading process ended before it was ready.')));
    });
  }

  #cleared(worker: Worker, waiting: Set<() => void>, message: ToReader): Promise<void> {
    return new Promise((resolve) => {
      const late = setTimeout(() => worker.process.kill('SIGKILL'), patience);
      waiting.add(() => {
        clearTimeout(late);
        resolve();
      });
      this.#send(worker, message);
    });
  }

  #done(worker: Worker): void {
    const waiting = this.#waiting.get(worker);
    for (const resolve of waiting ?? []) resolve();
    waiting?.clear();
  }

  /** A reader that is just ending cannot be told anything; its exit says the rest. */
  #send(worker: Worker, message: ToReader): void {
    if (worker.isConnected()) worker.send(message, () => {});
  }
}
