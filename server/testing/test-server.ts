import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { FastifyInstance } from 'fastify';
import pg from 'pg';
import type { z } from 'zod';
import type { Route } from '#contract/route.ts';
import { createAccount } from '#contract/account.ts';
import { importReplySchema, type ImportReply } from '#contract/materials.ts';
import type { PageOf } from '#core/pages/page.ts';
import { type SiteState } from '#contract/site-state.ts';
import { createSite, getSite } from '#contract/sites.ts';
import { getPublishJob, startPublish, type PublishJob } from '#contract/publishing.ts';
import { buildApp } from '../app.ts';
import { Clockwork } from '../clockwork.ts';
import { type Config, readConfig } from '../config.ts';
import { openPglite, openPostgres, type OpenDatabase } from '../db/connect.ts';
import { newId } from '../db/new-id.ts';
import type { Measures } from '../operation/measures.ts';
import { FolderBlobStore } from '../media/blob-store.ts';
import { secretIn } from '../secret.ts';
import { Reading } from '../reading/reading.ts';
import { storeAssets, type StoredAssets } from '../publish/site-assets.ts';

const root = join(import.meta.dirname, '../..');
const migrations = join(root, 'server/db/migrations');
const origin = 'http://studio.test';

/** A database of its own for each test file: in memory, or a new one on the server that DATABASE_URL names. */
async function freshDatabase(): Promise<OpenDatabase> {
  const url = process.env['DATABASE_URL'];
  if (!url) return openPglite({ template: join(root, '.cache/pglite-template.tar'), migrations });
  const name = `test_${newId()}`;
  const admin = new pg.Client({ connectionString: url });
  await admin.connect();
  await admin.query(`create database ${name}`);
  const own = new URL(url);
  own.pathname = `/${name}`;
  const opened = await openPostgres({ url: own.href, migrations });
  return {
    db: opened.db,
    close: async () => {
      await opened.close();
      await admin.query(`drop database ${name} with (force)`);
      await admin.end();
    },
  };
}

/** The server with a database and a data folder of its own, asked without a network. */
export class TestServer {
  private constructor(
    readonly app: FastifyInstance,
    readonly database: OpenDatabase,
    readonly blobs: FolderBlobStore,
    readonly reading: Reading,
    readonly assets: StoredAssets,
    readonly folder: string,
    /** By which passes open and close; a test may set it. */
    readonly clock: { now: () => Date },
    /** What is done by the clock is done when a test says so. */
    readonly clockwork: Clockwork,
  ) {}

  static async start(
    environment: Record<string, string> = {},
    more: Partial<Config> = {},
    log?: NodeJS.WritableStream,
    measures: Measures | null = null,
  ): Promise<TestServer> {
    const folder = await mkdtemp(join(tmpdir(), 'kite-wall-'));
    const database = await freshDatabase();
    const blobs = await FolderBlobStore.open(join(folder, 'blobs'));
    // What nobody asked for would be done at any time; a test that is about it says so.
    const read = readConfig(
      {
        DATA_DIR: folder,
        PREPARE: '0',
        OUTSIDER_TEST: '0',
        READING_SECONDS: '120',
        MAKING_SECONDS: '600',
        ...environment,
      },
      root,
    );
    // One process reads for one maker at a time: more of them would only be started and ended again.
    const config = { ...read, reading: { ...read.reading, width: 2 }, ...more };
    const assets = await storeAssets(join(root, 'dist/site-assets'), blobs);
    const reading = new Reading(join(root, 'dist/reading.js'), join(folder, 'blobs'), config.reading);
    const clock = { now: () => new Date() };
    const clockwork = new Clockwork();
    const app = await buildApp({
      db: database.db,
      blobs,
      reading,
      looking: join(root, 'dist/looking.js'),
      letters: join(root, 'dist/letters'),
      faces: join(root, 'dist/faces'),
      assets,
      config,
      secret: await secretIn(folder),
      now: () => clock.now(),
      clockwork,
      measures,
      rendererVersion: 'test',
      logLevel: log ? 'warn' : 'error',
      ...(log ? { logStream: log } : {}),
    });
    return new TestServer(app, database, blobs, reading, assets, folder, clock, clockwork);
  }

  async stop(): Promise<void> {
    await this.app.close();
    this.reading.close();
    await this.database.close();
    await rm(this.folder, { recursive: true, force: true });
  }

  /** A new maker, signed in. */
  async maker(name = 'Wren'): Promise<TestMaker> {
    const maker = new TestMaker(this.app);
    await maker.call(createAccount, {
      body: { name, email: `${newId()}@maker.example`, password: 'a long enough password' },
    });
    return maker;
  }

  /** Somebody without an account. */
  async get(path: string, headers: Record<string, string> = {}) {
    return this.app.inject({ method: 'GET', url: path, headers });
  }
}

/** One browser of one maker: keeps the cookie and speaks the contract. */
export class TestMaker {
  cookie = '';
  readonly #app: FastifyInstance;
  readonly #from: string | undefined;

  /** @param from the place its requests come from; the same for all that say none */
  constructor(app: FastifyInstance, from?: string) {
    this.#app = app;
    this.#from = from;
  }

  async raw(
    method: 'GET' | 'POST' | 'PATCH' | 'DELETE',
    url: string,
    payload?: unknown,
    type = 'application/json',
  ) {
    const reply = await this.#app.inject({
      method,
      url,
      ...(this.#from === undefined ? {} : { remoteAddress: this.#from }),
      headers: {
        origin,
        host: 'studio.test',
        ...(this.cookie ? { cookie: this.cookie } : {}),
        ...(payload === undefined ? {} : { 'content-type': type }),
      },
      ...(payload === undefined
        ? {}
        : { payload: Buffer.isBuffer(payload) ? payload : JSON.stringify(payload) }),
    });
    const set = reply.headers['set-cookie'];
    const [first] = Array.isArray(set) ? set : [set];
    if (first) this.cookie = first.split(';')[0] ?? '';
    return reply;
  }

  /** Asks a route of the contract and parses the reply; throws the server's sentence when it refuses. */
  async call<P extends z.ZodType, B extends z.ZodType, R extends z.ZodType>(
    route: Route<P, B, R>,
    { params = {}, body }: { params?: Record<string, string>; body?: z.input<B> } = {},
  ): Promise<z.output<R>> {
    const url = route.path.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(params[name] ?? ''));
    const reply = await this.raw(route.method as 'GET', url, body);
    if (reply.statusCode >= 400)
      throw Object.assign(new Error(reply.json<{ message: string }>().message), {
        status: reply.statusCode,
        reply: reply.json() as unknown,
      });
    return route.reply.parse(reply.json()) as z.output<R>;
  }

  async site(title = 'Wren makes'): Promise<SiteState> {
    const { id } = await this.call(createSite, { body: { title } });
    return this.state(id);
  }

  /** One project as it is now; undefined where there is none of that id. */
  async project(site: string, page: string): Promise<PageOf<'project'> | undefined> {
    const { pages } = await this.state(site);
    return pages.filter((one) => one.kind === 'project').find(({ id }) => id === page);
  }

  state(site: string): Promise<SiteState> {
    return this.call(getSite, { params: { site } });
  }

  async upload(site: string, name: string, contents: Buffer, said = {}): Promise<ImportReply> {
    const reply = await this.raw(
      'POST',
      `/api/sites/${site}/materials?${new URLSearchParams({ ...said, name })}`,
      contents,
      'application/octet-stream',
    );
    if (reply.statusCode >= 400)
      throw Object.assign(new Error(reply.json<{ message: string }>().message), { status: reply.statusCode });
    return importReplySchema.parse(reply.json());
  }

  async publish(site: string): Promise<PublishJob> {
    return this.finished(site, await this.call(startPublish, { params: { site }, body: { name: '' } }));
  }

  /** Waits for a publish that was started. */
  async finished(site: string, started: PublishJob): Promise<PublishJob> {
    let job = started;
    while (job.state === 'running') {
      await new Promise((resolve) => setTimeout(resolve, 20));
      job = await this.call(getPublishJob, { params: { site, job: job.id } });
    }
    return job;
  }
}
