import type { FastifyInstance } from 'fastify';
import { type Visit, visitIn, isAhead } from '../visits/visit-in.ts';
import { ReadyResponses } from '../serve/ready-responses.ts';
import { buildReader } from './build-reader.ts';
import { toReaderSchema, type ToOwner } from './messages.ts';

/** So often the owner is told what was opened here; in ms. */
const tellEveryMs = 1000;
/** What was opened here and not told yet. More than this in a second is not counted. */
const mostTold = 10_000;
let visits: Visit[] = [];

const ready = new ReadyResponses(64 * 1024 * 1024, (seen, request) => {
  if (secure !== null && visits.length < mostTold && !isAhead(request))
    visits.push(visitIn(seen, request, secure));
});
/** Whether cookies go only over HTTPS here; null until the owner has said. */
let secure: boolean | null = null;
setInterval(() => {
  if (visits.length > 0) tell({ kind: 'seen', visits });
  visits = [];
}, tellEveryMs).unref();
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
      secure = message.secure;
      void open(message.owner, message.host, message.port);
      break;
    case 'clear':
      ready.clear(message.sites, message.age);
      tell({ kind: 'cleared', age: message.age });
      break;
    case 'stop':
      if (visits.length > 0) tell({ kind: 'seen', visits });
      visits = [];
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
