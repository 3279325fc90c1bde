import { PGlite } from '@electric-sql/pglite';
import { drizzle as drizzlePg } from 'drizzle-orm/node-postgres';
import { migrate as migratePg } from 'drizzle-orm/node-postgres/migrator';
import { drizzle as drizzlePglite } from 'drizzle-orm/pglite';
import { migrate as migratePglite } from 'drizzle-orm/pglite/migrator';
import type { PgDatabase, PgQueryResultHKT, PgTransaction } from 'drizzle-orm/pg-core';
import type { ExtractTablesWithRelations } from 'drizzle-orm';
import { existsSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import pg from 'pg';
import { DurableFolder, durableStart } from './durable-folder.ts';
import { keepParsers } from './keep-parsers.ts';
import * as schema from './schema.ts';

export type Database = PgDatabase<PgQueryResultHKT, typeof schema>;
export type Transaction = PgTransaction<
  PgQueryResultHKT,
  typeof schema,
  ExtractTablesWithRelations<typeof schema>
>;
/** Where a query can run: on the database itself or inside a transaction. */
export type Executor = Database | Transaction;

export interface OpenDatabase {
  db: Database;
  close(): Promise<void>;
}

/** A data folder of PGlite with all migrations applied, packed; made by the build so that a first start is quick. */
export async function packTemplate(migrations: string): Promise<Blob> {
  const client = await PGlite.create();
  await migratePglite(drizzlePglite({ client, schema }), { migrationsFolder: migrations });
  const packed = await client.dumpDataDir('gzip');
  await client.close();
  return packed;
}

/**
 * Opens PGlite in a folder, or in memory without one. A folder that does not exist yet starts from the template.
 * The caller holds the lock of the folder: PGlite itself would open it twice.
 */
export async function openPglite(options: {
  folder?: string;
  template?: string;
  migrations: string;
}): Promise<OpenDatabase> {
  const fresh = !options.folder || !existsSync(join(options.folder, 'PG_VERSION'));
  const useTemplate = fresh && options.template !== undefined && existsSync(options.template);
  const client = await PGlite.create({
    ...(options.folder
      ? { fs: new DurableFolder(options.folder), startParams: durableStart(PGlite.defaultStartParams) }
      : {}),
    ...(useTemplate && options.template
      ? { loadDataDir: new Blob([new Uint8Array(await readFile(options.template))]) }
      : {}),
  });
  const db = drizzlePglite({ client: keepParsers(client), schema });
  await migratePglite(db, { migrationsFolder: options.migrations });
  return { db, close: () => client.close() };
}

/** Opens a PostgreSQL server and brings its tables up to date. */
export async function openPostgres(options: { url: string; migrations: string }): Promise<OpenDatabase> {
  const pool = new pg.Pool({ connectionString: options.url, max: 8 });
  // A connection that is lost while nobody uses it (the server was started again) is replaced at the next query.
  pool.on('error', () => undefined);
  const db = drizzlePg({ client: pool, schema });
  await migratePg(db, { migrationsFolder: options.migrations });
  return { db, close: () => pool.end() };
}
