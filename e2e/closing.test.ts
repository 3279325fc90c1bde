import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { type DemoStudio, openDemoStudio } from './support/demo-studio.ts';
import { type Driver } from './support/studio-driver.ts';

/** What opens and closes, as a maker does it in the browser and a stranger meets it. */
let demo: DemoStudio;
let studio: Driver;
beforeAll(async () => {
  demo = await openDemoStudio();
  studio = demo.studio;
});
afterAll(() => demo.close());

const status = async (path: string) => (await fetch(demo.server.origin + path)).status;
const focused = () =>
  studio.page.evaluate(() => ({
    value: (document.activeElement as HTMLButtonElement).value,
    checked: document.querySelector<HTMLButtonElement>('[role=radio][aria-checked=true]')?.value,
  }));

describe('the ladder of heights', () => {
  test('arrow keys choose, stop at both ends and apply nothing; focus and choice stay together', async () => {
    await studio.page.goto(`${demo.rooms}/share`);
    await studio.reads('The whole site flies at');
    await studio.page.focus('[role=radio][aria-checked=true]');
    for (let n = 0; n < 9; n++) void studio.page.keyboard.press('ArrowDown');
    await studio.page.keyboard.press('ArrowDown');
    expect(await focused()).toEqual({ value: 'private', checked: 'private' });
    await studio.reads('Lower it to Private now');
    expect(await studio.axe()).toEqual([]);
    expect(await status('/wren-makes/')).toBe(200);
    await studio.page.keyboard.press('Space');
    await studio.reads(/Closed: release \d+ opens for nobody/);
    expect(await status('/wren-makes/')).toBe(404);
    // From the ground, one key more is still the ground.
    await studio.page.keyboard.press('ArrowDown');
    expect(await focused()).toEqual({ value: 'private', checked: 'private' });
  });

  test('raising is chosen first and applied by a button that names it, and opens nothing before a publish', async () => {
    for (let n = 0; n < 5; n++) await studio.page.keyboard.press('ArrowUp');
    expect(await focused()).toEqual({ value: 'public', checked: 'public' });
    await studio.page.keyboard.press('Enter');
    await studio.page.keyboard.press('Space');
    await studio.saved();
    await studio.reads(/Closed: release \d+ opens for nobody/);
    await studio.press('button', 'Raise it to Public');
    expect(await focused()).toEqual({ value: 'public', checked: 'public' });
    await studio.saved();
    await studio.reads('Private becomes Public');
    expect(await status('/wren-makes/')).toBe(404);
    await studio.press('button', /^Undo: Height of the site/);
    await studio.reads('Private');
    expect(await status('/wren-makes/')).toBe(404);
  });

  test('undoing the lowering asks who would get what, and leaves readers with nothing', async () => {
    await studio.press('button', /^Undo: Height of the site/);
    await studio.reads('Undo makes the whole site Public again');
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', 'Leave it as it is');
    expect(await status('/wren-makes/')).toBe(404);
    await studio.press('button', /^Undo: Height of the site/);
    await studio.press('button', 'Undo it');
    await studio.reads('Private becomes Public');
    expect(await status('/wren-makes/')).toBe(404);
    await demo.publish();
    expect(await status('/wren-makes/')).toBe(200);
  });
});

describe('what readers lose and get', () => {
  test('a page that readers can see asks before it is deleted, and is gone for them at once if wished', async () => {
    await studio.page.goto(`${demo.rooms}/projects`);
    await studio.press('button', /^More for Float lamp/);
    await studio.press('menuitem', /^Delete/);
    await studio.reads('Readers can see it now');
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', 'Delete for readers now');
    await studio.reads('is deleted, and closed to readers');
    expect(await status('/wren-makes/for-the-harbour/float-lamp/')).toBe(404);
    await studio.press('button', /^Undo: Delete page/);
    await studio.reads('Float lamp');
    expect(await status('/wren-makes/for-the-harbour/float-lamp/')).toBe(404);
  });

  test('Publish lists what appears for the first time, with a choice of not yet', async () => {
    await studio.saved();
    await studio.press('button', 'Publish');
    await studio.reads('Publishing will change');
    await studio.reads('Who gains, who loses');
    expect(await studio.axe()).toEqual([]);
    // The half-written satchel is Private and stays out by itself.
    await studio.reads('1 page is Private and stays out');
    await studio.press('checkbox', /^Publish Float lamp/);
    await studio.reads('not yet');
    await studio.press('button', 'Close');
    await studio.press('button', 'Publish');
    await studio.press('button', /^Publish release/);
    await studio.reads(/Release \d+ is live/);
    await studio.press('button', 'Close');
    expect(await status('/wren-makes/for-the-harbour/float-lamp/')).toBe(200);
    expect(await status('/wren-makes/for-the-harbour/sailcloth-satchel/')).toBe(404);
  });

  test('“Read as visitors” shows what visitors get, and says that it is a preview and for whom', async () => {
    const site = demo.rooms.split('/').at(-1) ?? '';
    const pages = await studio.page.evaluate(
      async (id) =>
        (
          (await (await fetch(`/api/sites/${id}`)).json()) as {
            pages: { id: string; slug: string }[];
          }
        ).pages,
      site,
    );
    const see = async (slug: string) => {
      const id = pages.find((page) => page.slug === slug)?.id ?? '';
      await studio.page.goto(`${demo.server.origin}/studio/see/${site}/visitors/${id}`);
    };
    await see('tide-clock');
    await studio.reads('Preview: what a stranger gets with your next publish.');
    expect(studio.page.url()).toContain('/stranger/for-the-harbour/tide-clock/');
    expect(await studio.axe()).toEqual([]);
    await see('sailcloth-satchel');
    await studio.reads('Visitors get nothing of this page');
  });
});

describe('another device', () => {
  test('what it lowered is known to Publish here, and closed whatever is published', async () => {
    const lower = (height: string) =>
      studio.page.evaluate(
        async (site, to) => {
          const body = JSON.stringify({
            seen: 0,
            label: 'Elsewhere',
            change: { height: to, title: `Wren, ${to}` },
          });
          const headers = { 'content-type': 'application/json' };
          return (await fetch(`/api/sites/${site}`, { method: 'PATCH', headers, body })).status;
        },
        demo.rooms.split('/').at(-1) ?? '',
        height,
      );
    await studio.page.goto(`${demo.rooms}/projects`);
    await studio.saved();
    // Lowered before the dialog is opened: it says so.
    expect(await lower('unlisted')).toBe(200);
    await studio.press('button', 'Publish');
    await studio.reads('name of the site');
    await studio.reads('anyone with the link');
    // Lowered while it is open: closed all the same, and said as it is.
    expect(await lower('private')).toBe(200);
    await studio.press('button', /^Publish release/);
    await studio.reads('Nobody can open it: the site is Private.');
    expect(await status('/wren-makes/')).toBe(404);
    await studio.press('button', 'Close');
  });

  test('undo asks before it takes back what was done elsewhere; pressed fast it takes step after step', async () => {
    const siteTitle = (wanted?: string) =>
      studio.page.evaluate(
        async (site, title) => {
          const body = JSON.stringify({ seen: 0, label: `Named ${title}`, change: { title } });
          const change = { method: 'PATCH', headers: { 'content-type': 'application/json' }, body };
          await fetch(`/api/sites/${site}`, title === undefined ? {} : change);
          const state = (await (await fetch(`/api/sites/${site}`)).json()) as { site: { title: string } };
          return state.site.title;
        },
        demo.rooms.split('/').at(-1) ?? '',
        wanted,
      );
    const undo = async (times: number) => {
      await studio.page.keyboard.down('Control');
      for (let n = 0; n < times; n++) await studio.page.keyboard.press('z');
      await studio.page.keyboard.up('Control');
    };
    await studio.page.goto(`${demo.rooms}/projects`);
    await studio.saved();
    await siteTitle('Ash');
    await undo(1);
    await studio.reads('another one now, from another tab or device: “Named Ash”.');
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', 'Leave it as it is');
    expect(await siteTitle()).toBe('Ash');
    await undo(1);
    await studio.press('button', 'Undo it');
    await studio.reads('Undone: Named Ash');
    const first = await siteTitle();
    for (const name of ['Birch', 'Cedar', 'Dogwood']) await siteTitle(name);
    await studio.page.reload();
    await studio.saved();
    await undo(3);
    await studio.reads('Undone: Named Birch');
    expect(await siteTitle()).toBe(first);
  });
});

describe('uploads and leaving', () => {
  /** Brings files in over a line so slow that the last of them wait their turn when this returns. */
  const bringSlowly = async (names: readonly string[]) => {
    await studio.page.goto(`${demo.rooms}/gather`);
    await studio.reads('Drop anything here');
    const client = await studio.page.createCDPSession();
    await client.send('Network.enable');
    await studio.page.emulateNetworkConditions({ upload: 4000, download: 1_000_000, latency: 20 });
    await studio.page.evaluate((all) => {
      const input = document.querySelector<HTMLInputElement>('input[type=file]');
      const bag = new DataTransfer();
      for (const name of all)
        bag.items.add(new File([`# Note ${name}\n\n${'Words. '.repeat(12_000)}`], name));
      if (!input) throw new Error('no input');
      input.files = bag.files;
      input.dispatchEvent(new Event('change', { bubbles: true }));
    }, names);
    await studio.reads('% of it has arrived');
    // What this browser has not kept yet cannot be sent by the next visit.
    while ((await keptInBrowser()) < names.length) await new Promise((resolve) => setTimeout(resolve, 50));
  };
  const keptInBrowser = () =>
    studio.page.evaluate(
      () =>
        new Promise<number>((resolve, reject) => {
          const opening = indexedDB.open('kite-wall');
          opening.addEventListener('error', () => reject(new Error('no shelf')));
          opening.addEventListener('success', () => {
            const counting = opening.result.transaction('uploads').objectStore('uploads').count();
            counting.addEventListener('success', () => {
              opening.result.close();
              resolve(counting.result);
            });
          });
        }),
    );
  /** Leaves and comes back over a good line; waits until it is told of these files that they had not arrived. */
  const comeBack = async (names: readonly string[]) => {
    await studio.page.reload();
    expect(studio.asked.splice(0)).toEqual([`beforeunload on ${demo.rooms}/gather`]);
    await studio.page.emulateNetworkConditions(null);
    await studio.page.waitForFunction(
      (all) => {
        const said = [...document.querySelectorAll('.notice')].map(({ textContent }) => textContent).join();
        return (
          said.includes('Not arrived when this page was left, and sent now:') &&
          all.every((name) => said.includes(name))
        );
      },
      {},
      names,
    );
    return studio.page.$$eval('.notice', (all) => all.map((one) => one.textContent).join());
  };
  const stored = async () => {
    const reply = await studio.page.evaluate(async (id) => {
      const answer = await fetch(`/api/sites/${id}`);
      return (await answer.json()) as { materials: { fileName: string }[] };
    }, demo.rooms.split('/').at(-1));
    return reply.materials.map(({ fileName }) => fileName);
  };
  const arrive = async (names: readonly string[]) => {
    for (;;) {
      const there = await stored();
      // Stored is not yet told: until the page knows, it asks before it is left and keeps the file for its next visit.
      if (names.every((name) => there.includes(name)) && (await keptInBrowser()) === 0) return;
      await new Promise((resolve) => setTimeout(resolve, 300));
    }
  };
  // More than are sent at a time: those that wait their turn are kept as well.
  const six = (start: string) => Array.from({ length: 6 }, (_, at) => `${start}-${at}.md`);

  test('leaving in the middle of an upload asks first, and what had not arrived is named and sent afterwards', async () => {
    const names = six('kept');
    await bringSlowly(names);
    await comeBack(names);
    // They arrive by themselves.
    await arrive(names);
  });

  test('a file stopped while it waits its turn is not sent by the next visit', async () => {
    const names = six('stopped');
    await bringSlowly(names);
    const waiting = await studio.page.$$eval('[aria-label="Each file"] li', (rows) =>
      rows
        .filter((row) => row.textContent.includes('waits its turn'))
        .map((row) => row.querySelector('b')?.textContent),
    );
    expect(waiting).toEqual(names.slice(4));
    await studio.press('button', `Stop ${names[5]}`);
    await studio.reads('Stopped. Nothing of it was stored.');
    const said = await comeBack(names.slice(0, 5));
    expect(said).not.toContain(names[5]);
    await arrive(names.slice(0, 5));
    expect(await stored()).not.toContain(names[5]);
  });
});
