import { launchBrowser } from './support/browser.ts';
import { BuiltServer } from './support/demo-server.ts';
import { Driver, demoPictures } from './support/studio-driver.ts';
const server = await BuiltServer.start('demo');
const browser = await launchBrowser();
const d = new Driver(await browser.newPage());
d.page.on('pageerror', (e) => console.log(e));
await d.page.goto(server.origin + '/');
await d.press('button', /demo/i);
await d.reads('Tide clock');
const rooms = d.page.url().replace(/\/projects.*/, '');
await d.page.goto(rooms + '/gather', { waitUntil: 'networkidle0' });
await d.choose(
  ['10-hero-again-b.jpg', '11-hero-again-c.jpg', '12-gears-blurred.jpg', '13-dial-too-small.jpg'].map(
    (f) => demoPictures + '/tide-clock/' + f,
  ),
);
await d.reads('4 added', 30000);
await d.press('button', 'Put this list away');
await d.press('button', 'None');
await d.reads(/\d alike/, 20000);
await (await d.page.$('[aria-label="Group"]'))?.select('alike');
await d.press('button', /^Tide clock, second try/).catch(() => d.press('button', /: look at it$/));
await new Promise((r) => setTimeout(r, 800));
await d.page.evaluate(() => document.querySelector('.gather')?.parentElement?.scrollTo(0, 0));
await d.page.screenshot({ path: '/tmp/g3.png' });
console.log(await d.axe());
await browser.close();
await server.stop();
