import type { Browser } from 'puppeteer-core';
import { launchBrowser } from './browser.ts';
import { BuiltServer } from './demo-server.ts';
import { Driver } from './studio-driver.ts';

/** The demo site in the studio, signed in, on a server and in a browser of its own. */
export interface DemoStudio {
  server: BuiltServer;
  browser: Browser;
  studio: Driver;
  /** Address of the site's rooms, without a slash at its end. */
  rooms: string;
  /** Publishes what waits, from whatever room is open. */
  publish: () => Promise<void>;
  /** A page as a stranger's browser gets it; everything it asks for is told. */
  asStranger: (path: string, onRequest?: (url: string) => void) => Promise<Driver>;
  close: () => Promise<void>;
}

export async function openDemoStudio(): Promise<DemoStudio> {
  const server = await BuiltServer.start('demo');
  const browser = await launchBrowser();
  const studio = new Driver(await browser.newPage());
  await studio.page.setViewport({ width: 1280, height: 800 });
  await studio.page.goto(`${server.origin}/`);
  await studio.press('button', /demo maker/);
  // A server that has only just started opens the first studio slowly on a busy machine.
  await studio.reads('Fold-flat bee hotel');
  return {
    server,
    browser,
    studio,
    rooms: studio.page.url().replace(/\/projects.*/, ''),
    publish: async () => {
      await studio.saved();
      const title = await studio.page.$eval('h1', (h1) => h1.textContent);
      await studio.press('button', 'Publish');
      await studio.reads('Who can open the site');
      // A project made since the first publish is Private until its maker lets it go with this one.
      await studio.page.evaluate((name) => {
        const own = [...document.querySelectorAll('button')].find(
          ({ textContent }) => textContent === `Publish it too: ${name}`,
        );
        own?.closest('details')?.setAttribute('open', '');
        own?.click();
      }, title);
      await studio.press('button', /^Publish release/);
      await studio.reads(/Release \d+ is live/);
      await studio.page.keyboard.press('Escape');
    },
    asStranger: async (path, onRequest = () => {}) => {
      const context = await browser.createBrowserContext();
      const page = await context.newPage();
      page.on('request', (request) => onRequest(request.url()));
      await page.goto(`${server.origin}${path}`, { waitUntil: 'networkidle0' });
      return new Driver(page);
    },
    close: async () => {
      await browser.close();
      await server.stop();
      if (studio.asked.length > 0)
        throw new Error(`The browser asked what no test expected: ${studio.asked.join(', ')}.`);
    },
  };
}
