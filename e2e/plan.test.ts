import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import ical from 'node-ical';
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { shownOn } from '#core/pages/page.ts';
import type { AgendaEntry } from '#core/parts/agenda.ts';
import { partsChange } from '#core/parts/parts-change.ts';
import type { Part } from '#core/parts/parts.ts';
import { draftOf } from './support/change-draft.ts';
import { type DemoStudio, openDemoStudio } from './support/demo-studio.ts';
import type { Driver } from './support/studio-driver.ts';

/** What is to be done and what takes place: written, ticked off, kept as a moment, brought from a calendar and followed by one. */
let demo: DemoStudio;
let studio: Driver;
let site = '';

/** A day so many days from now, where this machine is. */
const day = (away: number): string => new Date(Date.now() + away * 86_400_000).toLocaleDateString('sv');
const choose = async (name: string) =>
  studio.page.$eval(
    'main select, [id="studio"] select',
    (select, wanted) => {
      const field = select as HTMLSelectElement;
      const option = [...field.options].find(({ text }) => text === wanted);
      if (!option) throw new Error(`Nothing is called ${wanted}.`);
      Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value')?.set?.call(field, option.value);
      field.dispatchEvent(new Event('change', { bubbles: true }));
    },
    name,
  );
async function add(what: string, on: string | null): Promise<void> {
  const date = await studio.page.waitForSelector('form input[type="date"]');
  await date?.evaluate((field, value) => {
    Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(field, value);
    field.dispatchEvent(new Event('input', { bubbles: true }));
  }, on ?? '');
  await studio.fill('What to do', what);
  await studio.page.keyboard.press('Enter');
  await studio.named('textbox', `What to do: ${what}`);
}

beforeAll(async () => {
  demo = await openDemoStudio();
  studio = demo.studio;
  site = studio.page.url().split('/')[4] ?? '';
  await studio.page.goto(`${demo.server.origin}/studio/${site}/plan`);
  await studio.reads('In your calendar');
});
afterAll(() => demo.close());

describe('the plan', () => {
  test('sorts what there is to do by how near it is, and is clean for axe', async () => {
    await choose('Tide clock');
    await add('Order brass rod', day(-3));
    await add('Cut the new dial', day(2));
    await add('Photograph it on the wall', day(40));
    await add('Ask Idris about the gears', null);
    await studio.saved();
    const heads = await studio.page.$$eval('section > h2', (all) =>
      all.map(({ textContent }) => textContent),
    );
    expect(heads.slice(0, 4)).toEqual(['Slipped', 'In the next seven days', 'Later', 'Without a day']);
    expect(await studio.axe()).toEqual([]);
    await studio.page.setViewport({ width: 390, height: 844 });
    expect(await studio.page.$eval('main', (main) => main.scrollWidth)).toBeLessThanOrEqual(390);
    expect(await studio.axe()).toEqual([]);
    await studio.page.setViewport({ width: 1280, height: 800 });
  });

  test('what is ticked off can be kept as a moment', async () => {
    await studio.press('checkbox', 'Order brass rod is done');
    await studio.reads('“Order brass rod” is done.');
    await studio.press('button', 'Keep it as a moment');
    await studio.reads('10 moments');
    expect(await studio.page.$eval('.moment-knot[aria-current]', (knot) => knot.textContent)).toContain(
      'Order brass rod',
    );
    await studio.page.goto(`${demo.server.origin}/studio/${site}/plan`);
    await studio.reads('1 task done');
  });

  test('takes dates in from a calendar, again without doubling them, and says what is wrong with another file', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'calendar-'));
    const timetable = join(folder, 'timetable.ics');
    const lines = (title: string) => [
      ...[
        'BEGIN:VCALENDAR',
        'VERSION:2.0',
        'PRODID:-//Skerrin College//EN',
        'BEGIN:VEVENT',
        'UID:mechanisms',
      ],
      ...['DTSTAMP:20260901T080000Z', `DTSTART:${day(1).replaceAll('-', '')}T100000`],
      ...[
        'RRULE:FREQ=WEEKLY;COUNT=3',
        `SUMMARY:${title}`,
        'LOCATION:Room 4',
        'END:VEVENT',
        'END:VCALENDAR',
        '',
      ],
    ];
    await writeFile(timetable, lines('Mechanisms').join('\r\n'));
    await choose('Tide clock');
    const input = (await studio.page.waitForSelector('input[type="file"][accept*="ics"]')) as unknown as {
      uploadFile(path: string): Promise<void>;
    };
    await input.uploadFile(timetable);
    await studio.reads('3 dates taken in from timetable.ics.');
    await writeFile(timetable, lines('Mechanisms, moved').join('\r\n'));
    await input.uploadFile(timetable);
    await studio.reads('Mechanisms, moved');
    const said = await studio.page.evaluate(() => document.body.innerText);
    expect(said.split('Mechanisms')).toHaveLength(4);
    expect(said).toContain('10:00, Room 4');
    const wrong = join(folder, 'wrong.ics');
    await writeFile(wrong, 'Hello');
    await input.uploadFile(wrong);
    await studio.reads('This is no calendar that can be read.');
  });

  test('is followed by a calendar at an address, until that is taken away', async () => {
    await studio.saved();
    await studio.press('button', 'Make an address');
    const field = await studio.named('textbox', 'The address of your plan');
    const address = await field.evaluate((input) => (input as HTMLInputElement).value);
    const path = new URL(address).pathname;
    const follow = () => fetch(demo.server.origin + path);
    const events = Object.values(ical.sync.parseICS(await (await follow()).text()));
    const tasks = events.flatMap((one) => (one?.type === 'VEVENT' ? [one.summary] : []));
    // What has no day, is done, or came from a calendar is in none.
    expect(tasks).toEqual(expect.arrayContaining(['Cut the new dial', 'Photograph it on the wall']));
    for (const other of ['Order brass rod', 'Ask Idris about the gears', 'Mechanisms, moved'])
      expect(tasks).not.toContain(other);
    await studio.press('button', 'Take the address away');
    await studio.named('button', 'Make an address');
    expect((await follow()).status).toBe(404);
  });

  test('reaches readers once its maker raises the agenda; what is over by then is put aside', async () => {
    const address = `${demo.server.origin}/wren-makes/for-the-harbour/tide-clock/`;
    const read = async () => (await fetch(address)).text();
    await demo.publish();
    expect(await read()).toContain('From September to the wall');
    expect(await read()).not.toContain('Cut the new dial');
    const { pages, revision } = await draftOf(studio.page, site);
    const page = pages.find(({ title }) => title === 'Tide clock');
    const was = page ? shownOn(page).parts : [];
    const raised = was.map((part): Part => {
      if (part.kind !== 'agenda') return part;
      const evening = { ...part.entries.find(({ kind }) => kind === 'task'), id: 'open-evening', done: null };
      const over = { ...evening, what: 'Open evening', day: day(-2) } as AgendaEntry;
      return { ...part, height: 'public', entries: [...part.entries, over] };
    });
    const body = { seen: revision, label: 'Raised', change: {}, parts: partsChange(was, raised) };
    await studio.page.evaluate(
      async (path, said) => {
        const reply = await fetch(path, {
          method: 'PATCH',
          headers: { 'content-type': 'application/json' },
          body: said,
        });
        if (!reply.ok) throw new Error(await reply.text());
      },
      `/api/sites/${site}/pages/${page?.id ?? ''}`,
      JSON.stringify(body),
    );
    await studio.page.reload();
    await studio.reads('In your calendar');
    await demo.publish();
    expect(await read()).toContain('Cut the new dial');
    const stranger = await demo.asStranger('/wren-makes/for-the-harbour/tide-clock/');
    await stranger.page.waitForSelector('.agenda .coming');
    const listed = (selector: string) =>
      stranger.page.$$eval(selector, (all) => all.map(({ textContent }) => textContent));
    expect(await listed('.agenda details li .what')).toEqual(['Open evening']);
    expect((await listed('.agenda > ol > li .what'))[0]).toContain('Mechanisms, moved');
    expect(await stranger.axe()).toEqual([]);
  });
});
