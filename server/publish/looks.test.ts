import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { gzipSync } from 'node:zlib';
import sharp from 'sharp';
import { createPage } from '#contract/pages.ts';
import { readLights } from '#contract/pictures.ts';
import { changeSite } from '#contract/sites.ts';
import { fontPairs } from '#core/look/font-pairs.ts';
import { asTheThemeComes, firstLook, type Look } from '#core/look/look.ts';
import { fontsOf } from '#core/look/fonts-of.ts';
import { coloursOf, schemeOf } from '#core/look/look-rules.ts';
import { unicodeRange } from '#core/look/unicode-range.ts';
import { themeNames } from '#core/look/theme-names.ts';
import { htmlFaults } from '../testing/html-faults.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

let server: TestServer;
let maker: TestMaker;
let site = '';
const materials: Record<string, string> = {};
const set = async (change: object) =>
  maker.call(changeSite, {
    params: { site },
    body: { seen: (await maker.state(site)).revision, label: 'Site', change },
  });
const flat = (background: string) =>
  sharp({ create: { width: 1200, height: 900, channels: 3, background } })
    .jpeg({ quality: 95 })
    .toBuffer();

/** The one style sheet for screens that a page links to. */
async function sheetOf(path: string): Promise<{ html: string; css: string; href: string }> {
  const { body: html } = await server.get(path);
  const hrefs = [...html.matchAll(/<link rel="stylesheet" href="([^"]+)"\/>/g)].map(([, href]) => href ?? '');
  expect(hrefs).toHaveLength(1);
  const href = hrefs[0] ?? '';
  const { body: css } = await server.get(new URL(href, `http://x${path}`).pathname);
  return { html, css, href };
}

beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  site = (await maker.site()).site.id;
  await set({ height: 'public', address: 'many-looks' });
  for (const [title, colour] of [
    ['White', '#ffffff'],
    ['Black', '#050505'],
  ] as const) {
    const { material } = await maker.upload(site, `${title}.jpg`, await flat(colour));
    materials[title] = material;
    await maker.call(createPage, { params: { site }, body: { title, materials: [material] } });
  }
  await maker.publish(site);
});
afterAll(() => server.stop());

describe.each(themeNames)('the theme %s', (theme) => {
  test('is one small sheet with its own colours and fonts, on pages of right HTML', async () => {
    const look: Look = { theme, ...asTheThemeComes, seeds: { first: '#7a2d8f', second: null } };
    await set({ look });
    await maker.publish(site);
    const { html, css } = await sheetOf('/many-looks/white/');
    expect(html).toContain(`data-theme="${theme}"`);
    expect(await htmlFaults(html)).toEqual([]);
    const icon = /<link rel="icon" type="image\/svg\+xml" href="\.\.\/([^"]+)"\/>/.exec(html)?.[1] ?? '';
    const sign = await server.get(`/many-looks/${icon}`);
    expect(sign.headers['content-type']).toBe('image/svg+xml');
    expect(sign.body).toContain('>W</text>');
    const scheme = schemeOf(look);
    for (const one of scheme === 'device' ? (['light', 'dark'] as const) : [scheme]) {
      const { accent = '', paper = '' } = coloursOf(look, one).colours;
      expect([one, css.includes(accent), css.includes(paper)]).toEqual([one, true, true]);
    }
    // Fonts of this pair and no other.
    const named = new Set(
      [...css.matchAll(/font-family: ?"?([^;"}]+ Variable)"?;/g)].map(([, name]) => name),
    );
    const { display, text, meta } = fontPairs[fontsOf(look)];
    expect(named).toEqual(new Set([display, text, meta].map((stack) => /^'(.+?)'/.exec(stack)?.[1] ?? '')));
    // Signs that the sheet sets by itself are drawn by fonts of the release, also where no word on a page has one.
    const signs = Array.from(css.matchAll(/\\([0-9a-f]{2,6})/gi), ([, digits]) => parseInt(digits ?? '', 16));
    const signed = [...css.matchAll(/@font-face\{[^}]*\}/g)].filter(
      ([face]) =>
        !face.includes('italic') &&
        unicodeRange(/unicode-range:([^;}]+)/.exec(face)?.[1] ?? '').some(([first, last]) =>
          signs.some((sign) => sign > 0x7f && first <= sign && sign <= last),
        ),
    );
    for (const [face] of signed) {
      const file = /url\("?\.?\/?([^")]+)"?\)/.exec(face)?.[1] ?? '';
      const { statusCode } = await server.get(`/many-looks/assets/${file.replace(/^\.?\//, '')}`);
      expect([theme, file, statusCode]).toEqual([theme, file, 200]);
    }
    expect(gzipSync(css, { level: 9 }).byteLength).toBeLessThanOrEqual(12 * 1024);
  });
});

describe('a look', () => {
  test('that was chosen and not published is not what readers get', async () => {
    await set({ look: firstLook });
    await maker.publish(site);
    const { href } = await sheetOf('/many-looks/');
    await set({ look: { ...firstLook, theme: 'signal' } });
    expect((await sheetOf('/many-looks/')).href).toBe(href);
    const { live } = await maker.state(site);
    expect(live.waiting.flatMap(({ what }) => what)).toContain('look');
    await maker.publish(site);
    expect((await sheetOf('/many-looks/')).html).toContain('data-theme="signal"');
  });

  test('that is none is refused with a sentence, and nothing changes', async () => {
    const before = (await maker.state(site)).site.look;
    const colour = { ...firstLook, seeds: { first: 'red}body{display:none', second: null } };
    await expect(set({ look: colour })).rejects.toThrow('A colour is written as # and six digits');
    await expect(set({ look: { ...firstLook, theme: 'another' } })).rejects.toThrow();
    await expect(set({ look: { ...firstLook, textSize: 40 } })).rejects.toThrow();
    expect((await maker.state(site)).site.look).toEqual(before);
  });
});

describe('words over a picture', () => {
  test('are dark on a white one and light on a black one, without a veil, and readable where it is not known', async () => {
    await set({ look: firstLook });
    await maker.publish(site);
    const styleOf = async (path: string) =>
      /<style>(.*?)<\/style>/.exec((await server.get(path)).body)?.[1] ?? '';
    expect(await styleOf('/many-looks/white/')).toContain(
      '--over:#101418;--shade-rgb:255 255 255;--shade:0}',
    );
    expect(await styleOf('/many-looks/black/')).toContain('--over:#fff;--shade-rgb:12 16 20;--shade:0}');
  });

  test('how light a picture is, only its maker is told', async () => {
    const pictures = Object.values(materials);
    const { lights } = await maker.call(readLights, { params: { site }, body: { pictures } });
    expect(Object.keys(lights).sort()).toEqual([...pictures].sort());
    for (const light of Object.values(lights)) expect(light).toMatch(/^[0-9a-f]{2304}$/);
    const other = await server.maker('Another');
    await expect(other.call(readLights, { params: { site }, body: { pictures } })).rejects.toThrow();
    const own = (await other.site()).site.id;
    const asked = await other.call(readLights, { params: { site: own }, body: { pictures } });
    expect(asked.lights).toEqual({});
    const { statusCode } = await server.app.inject({
      method: 'POST',
      url: `/api/sites/${site}/pictures/light`,
      headers: { origin: 'http://studio.test', host: 'studio.test' },
      payload: { pictures },
    });
    expect(statusCode).toBe(401);
  });
});
