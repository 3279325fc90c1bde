import { Problem } from '../http/problem.ts';
import { FolderBlobStore } from '../media/blob-store.ts';
import type { Answer } from './messages.ts';
import { type TaskInput, type TaskName, tasksOn } from './tasks.ts';
import { watchMemory } from './watchdog.ts';

/** The program of a reading process: one task after the other, each told by a message and answered by one. */
const [folder = '', mostBytes = '0'] = process.argv.slice(2);
watchMemory(Number(mostBytes));
const tasks = tasksOn(FolderBlobStore.attach(folder));

/** An owner that has just ended hears nothing; this process ends with it. */
const tell = (answer: Answer) => process.send?.(answer, undefined, {}, () => {});
process.on('disconnect', () => process.exit(0));
// Ctrl-C reaches the whole group of processes; the owner decides when its readers stop.
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => {});

async function answerTo<N extends TaskName>(name: N, input: TaskInput<N>): Promise<Answer> {
  const holds = () => process.memoryUsage.rss();
  try {
    const task = tasks[name] as (input: TaskInput<N>) => Promise<unknown>;
    return { kind: 'done', output: await task(input), holds: holds() };
  } catch (error) {
    if (error instanceof Problem) {
      const { status, code, message } = error;
      return { kind: 'refused', problem: { status, code, message }, holds: holds() };
    }
    return {
      kind: 'failed',
      message: error instanceof Error ? (error.stack ?? error.message) : String(error),
      holds: holds(),
    };
  }
}

process.on('message', ({ name, input }: { name: TaskName; input: TaskInput<TaskName> }) => {
  void answerTo(name, input as never).then(tell);
});
tell({ kind: 'ready' });
