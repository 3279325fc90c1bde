import { type ChildProcess, fork } from 'node:child_process';
import { Problem } from '../http/problem.ts';
import { answerSchema } from './messages.ts';
import type { TaskInput, TaskName, TaskOutput } from './tasks.ts';

export interface ReadingLimits {
  /** For reading one file, in ms. */
  readMs: number;
  /** For making what readers or the studio get of one, in ms: of a large picture that is a dozen files. */
  makeMs: number;
  /** Resident memory of one process. */
  mostBytes: number;
  /** How many processes there may be. */
  width: number;
}

/** Defaults for a machine with so many cores: one process each, and one more so that none is idle while another waits. */
export const readingLimits = (cores: number): ReadingLimits => ({
  readMs: 30_000,
  makeMs: 120_000,
  mostBytes: 512 * 1024 * 1024,
  width: Math.max(2, cores + 1),
});

/** A process that holds more than this after a task is replaced, so that the next task finds the whole limit free. */
const replacedAt = 0.45;
/** One that has not begun after this long is ended, in ms: no ordinary machine takes a tenth of it. */
const startMs = 60_000;
/** One that had nothing to do for this long is ended, in ms. */
const idleMs = 20_000;

interface Job {
  name: TaskName;
  input: unknown;
  /** Whose it is: nobody may take all processes. */
  by: string;
  resolve: (output: unknown) => void;
  reject: (error: unknown) => void;
  /** It was ended for its memory once, in a process that had read other things before. */
  again: boolean;
  /** Nobody waits for it: it is done while there is nothing else, and begun anew where somebody comes. */
  low: boolean;
}

/** How long nobody has to have asked for anything before what nobody waits for is begun, in ms. */
const quietMs = 1500;

interface Process {
  child: ChildProcess;
  job: Job | null;
  /** Has begun; until then it reads nothing, and what it is given has all its time. */
  ready: boolean;
  /** Has done something already. */
  used: boolean;
  slow: boolean;
  /** Ended to make room; its task is done later. */
  stopped: boolean;
  timer: ReturnType<typeof setTimeout> | undefined;
}

const forPeople = (ms: number) => `${Math.round(ms / 1000)} seconds`;

/**
 * Processes in which bytes from outside are looked into, each with a limit of time and of memory. Whatever a file does to
 * the program that reads it, the server that answers everybody else neither waits nor ends.
 */
export class Reading {
  readonly #program: string;
  readonly #folder: string;
  readonly #limits: ReadingLimits;
  readonly #processes = new Set<Process>();
  readonly #waiting: Job[] = [];
  #lastAsked = 0;
  #quietTimer: ReturnType<typeof setTimeout> | undefined;
  #closed = false;

  /**
   * @param program the built file of a reading process
   * @param folder of the store of bytes
   */
  constructor(program: string, folder: string, limits: ReadingLimits) {
    this.#program = program;
    this.#folder = folder;
    this.#limits = limits;
  }

  /**
   * Has a task done.
   *
   * @param by whose it is; a maker's files never take all processes, so that others' are read meanwhile
   * @param low nobody waits for it
   * @throws Problem with a sentence: what the task refuses, or that it took too long or too much memory
   */
  run<N extends TaskName>(name: N, input: TaskInput<N>, by: string, low = false): Promise<TaskOutput<N>> {
    return new Promise<TaskOutput<N>>((resolve, reject) => {
      this.#waiting.push({
        name,
        input,
        by,
        resolve: resolve as (output: unknown) => void,
        reject,
        again: false,
        low,
      });
      if (!low) this.#lastAsked = Date.now();
      // Whoever brings files has the machine to themselves.
      if (name === 'file' || name === 'picture') this.#stopLow();
      this.#next();
    });
  }

  /** Ends all processes; what is being read is given up. */
  close(): void {
    this.#closed = true;
    clearTimeout(this.#quietTimer);
    for (const one of this.#processes) one.child.kill('SIGKILL');
  }

  #next(): void {
    if (this.#closed) {
      for (const job of this.#waiting.splice(0)) job.reject(new Error('The server is stopping.'));
      return;
    }
    for (;;) {
      const at = this.#waiting.findIndex(({ by, low }) => !low && this.#running(by) < this.#limits.width - 1);
      if (at < 0) return this.#nextLow();
      const idle = [...this.#processes].find(({ job }) => job === null);
      const free = idle ?? (this.#processes.size < this.#limits.width ? this.#start() : null);
      const [job] = free ? this.#waiting.splice(at, 1) : [];
      if (!free || !job) return;
      this.#give(free, job);
    }
  }

  /** Begins something that nobody waits for, one at a time, where nobody asked for anything else lately. */
  #nextLow(): void {
    const at = this.#waiting.findIndex(({ low }) => low);
    if (at < 0 || [...this.#processes].some(({ job }) => job !== null)) return;
    const quietIn = this.#lastAsked + quietMs - Date.now();
    if (quietIn > 0) {
      clearTimeout(this.#quietTimer);
      this.#quietTimer = setTimeout(() => this.#next(), quietIn).unref();
      return;
    }
    const [job] = this.#waiting.splice(at, 1);
    if (job) this.#give([...this.#processes][0] ?? this.#start(), job);
  }

  #stopLow(): void {
    for (const one of this.#processes)
      if (one.job?.low && !one.stopped) {
        one.stopped = true;
        one.child.kill('SIGKILL');
      }
  }

  #running(by: string): number {
    return [...this.#processes].filter(({ job }) => job?.by === by).length;
  }

  #start(): Process {
    const { mostBytes } = this.#limits;
    const child = fork(this.#program, [this.#folder, String(mostBytes)], {
      serialization: 'advanced',
      execArgv: ['--max-old-space-size=400', '--max-semi-space-size=8'],
      // Freed memory goes back to the system sooner, so that the limit measures what is used.
      env: { ...process.env, MALLOC_ARENA_MAX: '2', NODE_OPTIONS: '' },
      // What a reader prints of a broken file is nobody's business.
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
    });
    const one: Process = {
      child,
      job: null,
      ready: false,
      used: false,
      slow: false,
      stopped: false,
      timer: undefined,
    };
    this.#processes.add(one);
    child.on('message', (raw) => this.#answered(one, raw));
    child.on('error', () => this.#ended(one));
    child.on('exit', () => this.#ended(one));
    return one;
  }

  #give(one: Process, job: Job): void {
    one.job = job;
    this.#time(one, job);
    one.child.send({ name: job.name, input: job.input }, () => {});
  }

  /** Ends a process that takes too long for what it was given. A machine that starts it slowly takes nothing from that time. */
  #time(one: Process, { name }: Job): void {
    const { readMs, makeMs } = this.#limits;
    clearTimeout(one.timer);
    one.timer = setTimeout(
      () => {
        one.slow = true;
        one.child.kill('SIGKILL');
      },
      one.ready ? (name === 'file' || name === 'picture' ? readMs : makeMs) : Math.max(startMs, readMs),
    );
  }

  #answered(one: Process, raw: unknown): void {
    const answer = answerSchema.parse(raw);
    const { job } = one;
    if (answer.kind === 'ready') {
      one.ready = true;
      if (job) this.#time(one, job);
      return;
    }
    if (!job) return;
    clearTimeout(one.timer);
    one.job = null;
    one.used = true;
    if (answer.kind === 'done') job.resolve(answer.output);
    else if (answer.kind === 'refused')
      job.reject(new Problem(answer.problem.status, answer.problem.code, answer.problem.message));
    else job.reject(new Error(answer.message));
    // What could not be read may have left anything behind.
    if (answer.holds > this.#limits.mostBytes * replacedAt || answer.kind === 'failed') this.#drop(one);
    else
      one.timer = setTimeout(() => {
        if (one.job === null) this.#drop(one);
      }, idleMs).unref();
    this.#next();
  }

  #drop(one: Process): void {
    this.#processes.delete(one);
    one.child.kill('SIGKILL');
  }

  #ended(one: Process): void {
    clearTimeout(one.timer);
    this.#processes.delete(one);
    const { job } = one;
    one.job = null;
    if (job) {
      if (one.stopped && !this.#closed) this.#waiting.push(job);
      else if (!one.slow && one.used && !job.again && !this.#closed)
        // What it had read before may have been in the way: once more, in a new process.
        this.#waiting.unshift({ ...job, again: true });
      else if (this.#closed) job.reject(new Error('The server is stopping.'));
      else job.reject(this.#tooMuch(one.slow, job.name));
    }
    this.#next();
  }

  #tooMuch(slow: boolean, name: TaskName): Problem {
    const { readMs, makeMs, mostBytes } = this.#limits;
    const ms = name === 'file' || name === 'picture' ? readMs : makeMs;
    return slow
      ? new Problem(
          422,
          'too-slow-to-read',
          `Reading this file was stopped after ${forPeople(ms)}: something in it takes longer than any ordinary file. Save it again, smaller or in another form, and add that.`,
        )
      : new Problem(
          422,
          'too-large-to-read',
          `Reading this file was stopped: opened, it takes more than ${Math.round(mostBytes / 1024 / 1024)} MB of memory, or is broken. Save it again, smaller or in another form, and add that.`,
        );
  }
}
