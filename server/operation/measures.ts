import Fastify, { type FastifyInstance } from 'fastify';
import { collectDefaultMetrics, Counter, Gauge, Histogram, Registry } from 'prom-client';
import type { Database } from '../db/connect.ts';
import { sizesOf } from './sizes-of.ts';

/**
 * What is measured of a running server, in the text form that Prometheus reads. No label holds an address, a key, a name
 * or anything else of somebody: a request is told by its route's pattern.
 */
export class Measures {
  readonly #registry = new Registry();
  readonly #requests = new Histogram({
    name: 'kite_wall_request_seconds',
    help: 'How long requests took to be answered, by method, route and status.',
    labelNames: ['method', 'route', 'status'] as const,
    buckets: [0.005, 0.025, 0.1, 0.25, 1, 2.5, 10],
    registers: [this.#registry],
  });
  readonly #ready = new Counter({
    name: 'kite_wall_answered_from_memory_total',
    help: 'Requests for public files that were answered from memory, and stand in no other measure.',
    registers: [this.#registry],
  });

  constructor() {
    collectDefaultMetrics({ register: this.#registry });
  }

  /** Measures all that this server answers through its routes. */
  watch(app: FastifyInstance): void {
    app.addHook('onResponse', async (request, reply) => {
      this.#requests.observe(
        {
          method: request.method,
          route: request.routeOptions.url ?? 'none',
          status: `${Math.floor(reply.statusCode / 100)}xx`,
        },
        reply.elapsedTime / 1000,
      );
    });
  }

  answeredFromMemory(): void {
    this.#ready.inc();
  }

  /** What the database holds, asked whenever the measures are. */
  count(db: Database): void {
    const sizes = new Gauge({
      name: 'kite_wall_things',
      help: 'How many of each kind there are; bytes for originals.',
      labelNames: ['kind'] as const,
      registers: [this.#registry],
      collect: async () => {
        for (const [kind, size] of Object.entries(await sizesOf(db))) sizes.set({ kind }, size);
      },
    });
  }

  text(): Promise<string> {
    return this.#registry.metrics();
  }

  /** A server of its own for them, on a port that readers do not reach. */
  server(): FastifyInstance {
    const app = Fastify({ logger: false });
    app.get('/metrics', async (_request, reply) =>
      reply.type(this.#registry.contentType).send(await this.text()),
    );
    return app;
  }
}
