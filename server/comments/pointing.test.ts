import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import { changeComment, listComments } from '#contract/comments.ts';
import { makePasses, type Pass } from '#contract/passes.ts';
import { newPart } from '#core/parts/new-part.ts';
import type { Part } from '#core/parts/parts.ts';
import sharp from 'sharp';
import { htmlFaults } from '../testing/html-faults.ts';
import { PublishedSite, wordsPart } from '../testing/published-site.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';

/** Comments on pictures, asked from outside by HTTP, as a browser without script sends them. */
let server: TestServer;
let maker: TestMaker;
let shown: PublishedSite;
let pass: Pass;
const galleryId = 'the-gallery';

beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  shown = await PublishedSite.open(server, maker);
  const made = await maker.call(makePasses, {
    params: { site: shown.site },
    body: { passes: [{ label: 'Tutors', opens: 'site', timeZone: 'Europe/Berlin', mayComment: true }] },
  });
  pass = made.passes[0] as Pass;
});
afterAll(() => server.stop());
beforeEach(async () => {
  for (const { id } of (await maker.call(listComments, {})).comments)
    await maker.call(changeComment, { params: { comment: id }, body: { deleted: true } });
});

const words = () => wordsPart(`${shown.clock}-open`, 'Open words');
const gallery = (): Part => newPart('gallery', galleryId, [shown.picture]);
/** Has the picture stand in a part, or above all of them. */
async function stands(where: 'part' | 'opening' | 'nowhere'): Promise<void> {
  await shown.page(shown.clock, {
    opening:
      where === 'opening' ? { layout: 'full', pictures: [shown.picture] } : { layout: 'words', pictures: [] },
    parts: where === 'part' ? [words(), gallery()] : [words()],
  });
  await shown.publish();
}

const read = async (path = 'tide-clock/') => (await server.get(`${pass.link ?? ''}${path}`)).body;
const publicPage = async () => (await server.get(`/${shown.address}/tide-clock/`)).body;
const tokenIn = (html: string) => /name="token" value="([^"]+)"/.exec(html)?.[1] ?? '';
const send = async (fields: Record<string, string>) =>
  server.app.inject({
    ...{ method: 'POST', url: `${pass.link ?? ''}tide-clock/` },
    headers: { 'content-type': 'application/x-www-form-urlencoded' },
    payload: new URLSearchParams({ comment: '1', name: 'Tess', words: 'Why brass?', ...fields }).toString(),
  });
const tinyPng = () =>
  sharp({ create: { width: 64, height: 64, channels: 3, background: '#86b' } })
    .png()
    .toBuffer();
/** What is sent on out of a form: its fields that are not seen. */
const hiddenIn = (html: string): Record<string, string> =>
  Object.fromEntries(
    [...html.matchAll(/<input type="hidden" name="([^"]+)" value="([^"]*)"/g)].map(([, name, value]) => [
      name,
      value,
    ]),
  ) as Record<string, string>;
const newest = async () => {
  const [first] = (await maker.call(listComments, {})).comments.filter(({ deleted }) => !deleted);
  if (!first) throw new Error('nothing came');
  return first;
};
const show = async (comment: string) =>
  maker.call(changeComment, { params: { comment }, body: { state: 'page' } });
/** Points at the only picture of the page, in pixels of it as it stands in the form, and sends that. */
async function points(x: number, y: number, more: Record<string, string> = {}) {
  const step = await send({ token: tokenIn(await read()), pointing: '1' });
  const form = await send({ ...hiddenIn(step.body), 'pick-0.x': String(x), 'pick-0.y': String(y) });
  return { step, form, sent: await send({ ...hiddenIn(form.body), ...more }) };
}

test('a picture is pressed in a form without script: nothing typed is lost, and its maker and readers see where', async () => {
  await stands('part');
  const { step, form, sent } = await points(70, 21, { extent: 'point' });
  expect(step.statusCode).toBe(200);
  expect(step.body.match(/type="image"/g)).toHaveLength(1);
  expect(hiddenIn(step.body)).toMatchObject({ name: 'Tess', words: 'Why brass?' });
  // Nothing that was begun is kept before it is sent.
  expect(form.body).toContain('Why brass?');
  expect(form.body).toMatch(/<svg class="pointed"/);
  for (const { body } of [step, form]) expect(await htmlFaults(body)).toEqual([]);
  expect(sent.statusCode).toBe(303);
  const comment = await newest();
  expect(comment).toMatchObject({ words: 'Why brass?', part: galleryId, picture: { asItWas: true } });
  const { mark, widthPx, heightPx } = comment.picture ?? {};
  // 70 of 280 pixels across; 21 down of as many as the picture’s proportions give.
  expect(mark).toEqual({ x: 250, y: Math.round((21 / ((280 * (heightPx ?? 1)) / (widthPx ?? 1))) * 1000) });
  expect(await publicPage()).not.toContain('<svg class="pointed"');
  await show(comment.id);
  const page = await publicPage();
  expect(page).toMatch(/<svg class="pointed"[^>]*>\s*<image [^>]*><\/image><circle /);
  expect(await htmlFaults(page)).toEqual([]);
});

test('by key no point is pressed; a ninth of it is chosen by name, or it is left out again', async () => {
  await stands('part');
  const { form, sent } = await points(0, 0, { extent: 'bottom-right' });
  expect(form.body).not.toContain('value="around"');
  expect(sent.statusCode).toBe(303);
  expect((await newest()).picture?.mark).toEqual({ x: 666, y: 666, width: 333, height: 333 });
  const part = `${shown.clock}-open`;
  const step = await send({ token: tokenIn(await read()), pointing: '1', part, words: 'Why\nbrass?' });
  const chosen = await send({ ...hiddenIn(step.body), 'pick-0.x': '10', 'pick-0.y': '10' });
  expect(chosen.body).toContain('<svg class="pointed"');
  const without = await send({ ...hiddenIn(chosen.body), without: '1' });
  expect([without.statusCode, without.body.includes('<svg class="pointed"')]).toEqual([200, false]);
  expect(chosen.body).toMatch(/<textarea[^>]*>Why\nbrass\?<\/textarea>/);
  expect(without.body).toMatch(new RegExp(`<option value="${part}" selected`));
  await send({ ...hiddenIn(without.body), part });
  expect(await newest()).toMatchObject({ picture: null, part });
});

test('where a part is spoken of, its own pictures are offered', async () => {
  const other = newPart('gallery', 'other-gallery', [shown.picture]);
  const { material } = await maker.upload(shown.site, 'small.png', await tinyPng());
  await shown.page(shown.clock, {
    opening: { layout: 'full', pictures: [shown.picture] },
    parts: [words(), { ...other, pictures: [material] } as Part],
  });
  await shown.publish();
  const offered = async (part: string) =>
    (await send({ token: tokenIn(await read()), pointing: '1', part })).body.match(/type="image"/g)?.length;
  expect(await offered('')).toBe(2);
  expect(await offered('other-gallery')).toBe(1);
  expect(await offered(`${shown.clock}-open`)).toBe(2);
  const step = await send({ token: tokenIn(await read()), pointing: '1', part: 'other-gallery' });
  const form = await send({ ...hiddenIn(step.body), 'pick-0.x': '1', 'pick-0.y': '1' });
  await send(hiddenIn(form.body));
  expect(await newest()).toMatchObject({ part: 'other-gallery', picture: { widthPx: 64, heightPx: 64 } });
});

test('a file that is on no picture of that page is none to point at', async () => {
  await stands('part');
  const page = await read();
  const file = /<img src="[./]*(files\/[^"]+)"/.exec(page)?.[1] ?? '';
  await stands('nowhere');
  for (const picture of [file, '../../etc/passwd', 'tide-clock/index.html', '__proto__']) {
    expect(
      (await send({ token: tokenIn(await read()), picture, point: '1 1', extent: 'point' })).statusCode,
    ).toBe(303);
    expect((await newest()).picture).toBeNull();
  }
});

test('a picture is shown to nobody who does not get it, with what is said of it or alone', async () => {
  await stands('part');
  await points(70, 21, { extent: 'point' });
  const inPart = await newest();
  await show(inPart.id);
  expect(await publicPage()).toContain('Why brass?');
  await shown.partHeight(shown.clock, galleryId, 'invited');
  await shown.publish();
  expect(await read()).toContain('<svg class="pointed"');
  for (const gone of ['Why brass?', '<svg class="pointed"']) expect(await publicPage()).not.toContain(gone);

  // Above all parts it belongs to the page, which stays when the picture goes.
  await stands('opening');
  await points(70, 21, { extent: 'around' });
  const above = await newest();
  expect(above).toMatchObject({ part: null, picture: { mark: { width: 300 } } });
  await show(above.id);
  expect(await publicPage()).toMatch(/<svg class="pointed"[^>]*>\s*<image [^>]*><\/image><rect /);
  await stands('nowhere');
  const after = await publicPage();
  expect(after).toContain('It speaks of a picture that is not here any more');
  expect(after).not.toMatch(/<svg class="pointed"|files\/[0-9a-f]{20}\./);
});
