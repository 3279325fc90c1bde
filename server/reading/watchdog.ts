import { Worker } from 'node:worker_threads';

/**
 * Ends this process when it holds more memory than it may, or when the process that started it is gone. It watches from a
 * thread of its own: a reader that never comes to an end does not let anything else of its own thread run.
 *
 * Plain JavaScript in a string, so that the thread starts without a file of its own and without any package.
 */
const program = `
const { workerData } = require('node:worker_threads');
const owner = process.ppid;
setInterval(() => {
  if (process.memoryUsage.rss() > workerData.mostBytes || process.ppid !== owner) process.kill(process.pid, 'SIGKILL');
}, 25);
`;

/** @param mostBytes resident memory of the whole process */
export function watchMemory(mostBytes: number): void {
  new Worker(program, { eval: true, workerData: { mostBytes } }).unref();
}
