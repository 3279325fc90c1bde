import { createAccount } from '#contract/account.ts';
import { bringBackRelease, startPublish } from '#contract/publishing.ts';
import { changePage, createPage } from '#contract/pages.ts';
import { changeSite, createSite } from '#contract/sites.ts';
import type { Height } from '#core/access/height.ts';
import { newPart } from '#core/parts/new-part.ts';
import type { Part } from '#core/parts/parts.ts';
import { fromParagraphs } from '#core/words/rich-text.ts';
import { BuiltServer } from './demo-server.ts';
import { RemoteMaker } from './maker.ts';

/** A row of numbers that looks like chance and is the same every time (a linear congruential generator, Numerical Recipes). */
function chance(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}

const words = (id: string, text: string): Part =>
  ({ ...newPart('words', id), text: fromParagraphs(text) }) as Part;

type Act = 'lower page' | 'lower part' | 'lower site' | 'bring back' | 'publish';
const acts: readonly Act[] = ['lower page', 'lower part', 'lower site', 'bring back', 'publish'];

export interface KillsResult {
  kills: number;
  /** How many of them came after the act was acknowledged, and before. */
  acknowledged: number;
  unanswered: number;
  /** Longest time from the start of the process after a kill until it answered, in ms. */
  slowestStartMs: number;
  /** What was wrong, in words; empty when nothing was. */
  faults: string[];
}

/**
 * Pulls the plug on the built server while something is lowered, an old release is brought back, or a publish runs, at a
 * moment that is different each time; starts it again; and looks as a stranger whether anything is open that was said to be
 * closed, and as the maker whether anything is gone that was said to be saved.
 */
export async function killMany(
  count: number,
  seed: number,
  say: (line: string) => void,
): Promise<KillsResult> {
  const server = await BuiltServer.start('server');
  const result: KillsResult = { kills: 0, acknowledged: 0, unanswered: 0, slowestStartMs: 0, faults: [] };
  try {
    const maker = new RemoteMaker(server.origin);
    await maker.call(createAccount, {
      body: { name: 'W', email: 'w@maker.example', password: 'a long enough password' },
    });
    const { id: site } = await maker.call(createSite, { body: { title: 'Wren makes' } });
    const pages: string[] = [];
    for (const title of ['Clock', 'Satchel', 'Stool'])
      pages.push((await maker.call(createPage, { params: { site }, body: { title, materials: [] } })).page);
    const [clock = ''] = pages;
    const setPage = async (page: string, change: object) =>
      maker.call(changePage, {
        params: { site, page },
        body: { seen: (await maker.state(site)).revision, label: 'Change', change },
      });
    const setSite = (height: Height) =>
      maker.call(changeSite, {
        params: { site },
        body: { seen: 0, label: 'Height', change: { height, address: 'killed' } },
      });
    const parts = (height: Height): Part[] => [
      { ...words('part-secret', 'Secret words'), height },
      words('part-open', 'Open words'),
    ];
    for (const page of pages)
      if (page !== clock) await setPage(page, { parts: [words(`${page}-words`, 'Other words')] });

    const next = chance(seed);
    for (let at = 0; at < count; at++) {
      // Everything open and published; a release that shows all of it is the one brought back.
      await setPage(clock, { height: 'public', parts: parts('public'), summary: `Round ${at}` });
      await setSite('public');
      await maker.publish(site);
      const full = (await maker.state(site)).live.release?.number ?? 0;
      if (!(await maker.stranger('/killed/clock/')).includes('Secret words'))
        result.faults.push(`round ${at}: what was published is not open`);

      const act = acts[Math.floor(next() * acts.length)] ?? 'publish';
      // What is closed before the kill, and so has to be closed after it whatever is running.
      const closedBefore = act === 'bring back' || act === 'publish';
      if (closedBefore) await setPage(clock, { parts: parts('private') });
      if (act === 'bring back') await setPage(clock, { summary: 'Newer' }).then(() => maker.publish(site));
      const { revision } = await maker.state(site);
      const doing: Promise<unknown> = {
        'lower page': () => setPage(clock, { height: 'private' }),
        'lower part': () => setPage(clock, { parts: parts('private') }),
        'lower site': () => setSite('private'),
        'bring back': () => maker.call(bringBackRelease, { params: { site, number: String(full) } }),
        publish: () => maker.call(startPublish, { params: { site }, body: {} }),
      }[act]();
      let answered = false;
      const settled = doing.then(
        () => (answered = true),
        () => undefined,
      );
      await new Promise((resolve) => setTimeout(resolve, next() * (act.startsWith('lower') ? 60 : 160)));
      const known = answered;
      await server.kill();
      await settled;
      result.kills++;
      if (known) result.acknowledged++;
      else result.unanswered++;

      const began = Date.now();
      await server.run();
      result.slowestStartMs = Math.max(result.slowestStartMs, Date.now() - began);
      const seen = await maker.stranger('/killed/clock/');
      const home = await maker.stranger('/killed/');
      const fault = (what: string) =>
        result.faults.push(`round ${at}, ${act}, ${known ? 'acknowledged' : 'unanswered'}: ${what}`);
      if (closedBefore && seen.includes('Secret words')) fault('a part that was closed is open');
      if (known && act === 'lower page' && seen !== '404') fault('the page is open');
      if (known && act === 'lower page' && home.includes('Clock')) fault('the page is named on the wall');
      if (known && act === 'lower part' && seen.includes('Secret words')) fault('the part is open');
      if (known && act === 'lower site' && home !== '404') fault('the site is open');
      const after = await maker.state(site);
      if (after.revision < revision) fault('edits that were saved are gone');
      const page = after.pages.find(({ id }) => id === clock);
      if (known && act === 'lower page' && page?.height !== 'private')
        fault('the height is not what was saved');
      if (known && act === 'lower site' && after.site.height !== 'private') fault('the site is not as saved');
      if ((at + 1) % 20 === 0) say(`${at + 1} kills, ${result.faults.length} faults`);
    }
  } finally {
    await server.stop();
  }
  return result;
}
