import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { launchBrowser } from '#e2e/support/browser.ts';
import { Driver } from '#e2e/support/studio-driver.ts';
import { readConfig } from '../server/config.ts';
import { accounts } from '../server/db/schema.ts';
import { open, placesIn, type Running } from '../server/start.ts';

const root = join(import.meta.dirname, '..');

/** A server with one new site and a browser that is signed in to its studio. */
export interface BenchStudio {
  running: Running;
  browser: Browser;
  page: Page;
  studio: Driver;
  origin: string;
  site: string;
  account: string;
  /** Asks the server as the studio does. */
  post: (path: string, body: object) => Promise<{ id: string }>;
  close: () => Promise<void>;
}

export async function openBenchStudio(): Promise<BenchStudio> {
  const folder = await mkdtemp(join(tmpdir(), 'kite-wall-bench-'));
  const config = readConfig({ DATA_DIR: folder, PORT: '0', READERS: '0' }, root);
  const running = await open(config, placesIn(root, join(root, 'dist/server.js')));
  const browser = await launchBrowser();
  const close = async () => {
    await browser.close();
    await running.stop();
    await rm(folder, { recursive: true, force: true });
  };
  try {
    const origin = await running.listen();
    const page = await browser.newPage();
    await page.goto(`${origin}/studio/`);
    // Named functions cannot be sent to the page: what runs this adds something to them.
    const post = async (path: string, body: object) =>
      page.evaluate(
        async (to, said) =>
          (await (
            await fetch(to, { method: 'POST', headers: { 'content-type': 'application/json' }, body: said })
          ).json()) as { id: string },
        path,
        JSON.stringify(body),
      );
    await post('/api/accounts', { name: 'Wren', email: 'w@bench.example', password: 'tide clock and kites' });
    const { id: site } = await post('/api/sites', { title: 'Bench' });
    const [row] = await running.publishing.db.select({ id: accounts.id }).from(accounts);
    const account = row?.id ?? '';
    return { running, browser, page, studio: new Driver(page), origin, site, account, post, close };
  } catch (error) {
    await close();
    throw error;
  }
}
