import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readConfig, type Config } from '../server/config.ts';
import { newId } from '../server/db/new-id.ts';
import { accounts } from '../server/db/schema.ts';
import { outsideRequests } from '../server/commands/outside-requests.ts';
import { makeSite } from '../server/sites/make-site.ts';
import { open, placesIn, type Running } from '../server/start.ts';

const root = join(import.meta.dirname, '..');

export interface BenchServer extends Running {
  config: Config;
  publishing: ReturnType<typeof outsideRequests>;
  scope: { site: string; account: string };
  close(): Promise<void>;
}

/** The server with an account and a site, in a data folder that is thrown away. */
export async function benchServer(): Promise<BenchServer> {
  const folder = await mkdtemp(join(tmpdir(), 'kite-wall-bench-'));
  const config = readConfig({ DATA_DIR: folder, PORT: '0' }, root);
  const running = await open(config, placesIn(root, join(root, 'dist/server.js')));
  const publishing = outsideRequests(running.publishing);
  const account = newId();
  await publishing.db
    .insert(accounts)
    .values({ id: account, name: 'Bench', email: `${account}@bench.example`, passwordHash: 'none' });
  const site = await makeSite(publishing.db, account, 'Bench');
  return {
    ...running,
    config,
    publishing,
    scope: { site, account },
    close: async () => {
      await running.stop();
      await rm(folder, { recursive: true, force: true });
    },
  };
}
