import type { FastifyInstance } from 'fastify';
import { ReadyResponses } from '../serve/ready-responses.ts';
import { buildReader } from './build-reader.ts';
import { toReaderSchema, type ToOwner } from './messages.ts';

const ready = new ReadyResponses(64 * 1024 * 1024);
/** An owner that has just ended hears nothing; this process ends with it. */
const tell = (message: ToOwner) => process.send?.(message, undefined, {}, () => {});
let app: FastifyInstance | null = null;

// Ctrl-C reaches the whole group of processes; the owner decides when its readers stop.
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => {});

process.on('message', (raw) => {
  const message = toReaderSchema.parse(raw);
  switch (message.kind) {
    case 'open':
      ready.clear(undefined, message.age);
      void open(message.owner, message.host, message.port);
      break;
    case 'clear':
      ready.clear(message.sites, message.age);
      tell({ kind: 'cleared', age: message.age });
      break;
    case 'stop':
      void (app?.close() ?? Promise.resolve()).finally(() => process.exit(0));
  }
});

async function open(owner: string, host: string, port: number): Promise<void> {
  try {
    app = await buildReader(owner, ready);
    const address = await app.listen({ host, port });
    tell({ kind: 'listening', port: Number(new URL(address).port) });
  } catch (error) {
    const { code = '', message } = error as NodeJS.ErrnoException;
    tell({ kind: 'failed', code, message });
  }
}

tell({ kind: 'hearing' });
