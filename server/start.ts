import type { FastifyInstance } from 'fastify';
import { createHash } from 'node:crypto';
import { mkdir, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildApp } from './app.ts';
import type { Config } from './config.ts';
import { ceilingsOfOlderData } from './db/ceilings-of-older-data.ts';
import { openPglite, openPostgres } from './db/connect.ts';
import { lockDataFolder } from './db/data-folder-lock.ts';
import { Measures } from './operation/measures.ts';
import { FolderBlobStore } from './media/blob-store.ts';
import { Sweeping } from './media/sweeping.ts';
import type { PublishDeps } from './publish/made-files.ts';
import { storeAssets } from './publish/site-assets.ts';
import { Reading } from './reading/reading.ts';
import { secretIn } from './secret.ts';
import { Readers } from './readers/readers.ts';

export interface Places {
  migrations: string;
  siteAssets: string;
  template: string;
  studio: string;
  /** The file whose content stands for the renderer's code. */
  code: string;
  /** The program of a process that answers readers. */
  reader: string;
  /** The program of a process that looks into files from outside. */
  reading: string;
  looking: string;
  /** The folder with what letters look like. */
  letters: string;
  /** The folder with the program that finds faces. */
  faces: string;
}

/** Where everything is below the project's folder, built or not. */
export const placesIn = (root: string, code: string): Places => ({
  migrations: join(root, 'server/db/migrations'),
  siteAssets: join(root, 'dist/site-assets'),
  template: join(root, 'dist/pglite-template.tar.gz'),
  studio: join(root, 'dist/studio'),
  code,
  reader: join(root, 'dist/reader.js'),
  reading: join(root, 'dist/reading.js'),
  looking: join(root, 'dist/looking.js'),
  letters: join(root, 'dist/letters'),
  faces: join(root, 'dist/faces'),
});

export interface Running {
  app: FastifyInstance;
  /** Takes requests from now on, or says in a sentence why it cannot. @returns the address */
  listen(): Promise<string>;
  /** What publishing outside a request needs, for seeding and for benches. */
  publishing: PublishDeps;
  /** Of this server; see `secretIn`. */
  secret: Buffer;
  /** Stops taking requests, finishes those that run, closes the database and gives the data folder back. */
  stop(): Promise<void>;
}

/** Opens the data folder and puts the server together, without listening yet. */
export async function open(
  config: Config,
  places: Places,
  options: { fresh?: boolean } = {},
): Promise<Running> {
  const unlock = await lockDataFolder(config.dataDir);
  try {
    // Only now is it sure that nobody else uses what is thrown away here.
    if (options.fresh)
      for (const part of ['database', 'blobs'])
        await rm(join(config.dataDir, part), { recursive: true, force: true });
    const database = config.databaseUrl
      ? await openPostgres({ url: config.databaseUrl, migrations: places.migrations })
      : await openPglite({
          folder: join(config.dataDir, 'database'),
          template: places.template,
          migrations: places.migrations,
        });
    await ceilingsOfOlderData(database.db);
    const blobs = await FolderBlobStore.open(join(config.dataDir, 'blobs'));
    const secret = await secretIn(config.dataDir);
    const reading = new Reading(places.reading, join(config.dataDir, 'blobs'), config.reading);
    const publishing = {
      db: database.db,
      blobs,
      reading,
      assets: await storeAssets(places.siteAssets, blobs),
      rendererVersion: createHash('sha256')
        .update(await readFile(places.code))
        .digest('hex')
        .slice(0, 16),
      publicOrigin: config.publicOrigin,
    };
    const readers = config.readers > 0 ? new Readers(config.readers, places.reader) : null;
    const measures = config.metricsPort === null ? null : new Measures();
    const measured = measures?.server();
    const app = await buildApp({
      ...publishing,
      config,
      measures,
      secret,
      looking: places.looking,
      letters: places.letters,
      faces: places.faces,
      studioFolder: places.studio,
      readers,
    });
    // Named by the folder, so that one left by a killed process is found again; a path in the folder itself may be too long.
    const socket = readers && join(tmpdir(), `kite-wall-${nameOf(config.dataDir)}`);
    if (socket) {
      await rm(socket, { recursive: true, force: true });
      await mkdir(socket, { mode: 0o700 });
    }
    let stopping: Promise<void> | null = null;
    const stop = () =>
      (stopping ??= (async () => {
        await sweeping.stop();
        await measured?.close();
        await readers?.stop();
        await app.close();
        reading.close();
        if (socket) await rm(socket, { recursive: true, force: true });
        await database.close();
        await unlock();
      })());
    const sweeping = new Sweeping(
      { db: database.db, blobs, assets: publishing.assets, limits: config },
      app.log,
    );
    const listen = async () => {
      sweeping.start();
      // Of this machine alone: what is measured is for whoever runs the server.
      if (measured && config.metricsPort !== null)
        await listenAt(measured, { host: '127.0.0.1', port: config.metricsPort });
      if (!readers || !socket) return listenAt(app, config);
      const owner = join(socket, 'owner');
      await app.listen({ path: owner });
      const port = await readers
        .start(config.host, config.port, owner, config.secureCookies)
        .catch((error: unknown) => Promise.reject(inWords(error, config.port)));
      return `http://${config.host}:${port}`;
    };
    return { app, publishing, secret, listen, stop };
  } catch (error) {
    await unlock();
    throw error;
  }
}

const nameOf = (folder: string): string => createHash('sha256').update(folder).digest('hex').slice(0, 16);

async function listenAt(
  app: FastifyInstance,
  { host, port }: Pick<Config, 'host' | 'port'>,
): Promise<string> {
  try {
    return await app.listen({ host, port });
  } catch (error) {
    throw inWords(error, port);
  }
}

function inWords(error: unknown, port: number): unknown {
  if ((error as NodeJS.ErrnoException).code !== 'EADDRINUSE') return error;
  return new Error(`Port ${port} is taken by another program. Stop it, or set PORT to another number.`, {
    cause: error,
  });
}
