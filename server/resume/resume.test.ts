import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { execFile } from 'node:child_process';
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { mf2 } from 'microformats-parser';
import { newPart } from '#core/parts/new-part.ts';
import type { Part, PartKind } from '#core/parts/parts.ts';
import { changePage, createPage } from '#contract/pages.ts';
import { fitVersion, versionFilePath, versionAsPath, versionPicturePath } from '#contract/resume.ts';
import { fromJsonResume } from '#core/resume/json-resume/from-json-resume.ts';
import { changeSite, renewLink } from '#contract/sites.ts';
import { sweep } from '../media/sweep.ts';
import { htmlFaults } from '../testing/html-faults.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';

/** The résumé as readers get it and as its maker looks at it, by HTTP, read by poppler. */
const run = promisify(execFile);
let server: TestServer;
let wren: TestMaker;
let site: string;
let [resume, clock, about] = ['', '', ''];
let link = '';
let folder = '';

const part = (kind: PartKind, id: string, more: object): Part =>
  ({ ...newPart(kind, id), height: 'public', ...more }) as Part;
const line = (id: string, text: string, page: string | null = null) => ({
  ...{ id, text },
  proof: page === null ? null : { page, part: '1-quote' },
});
const change = async (page: string, changed: object) => {
  const { revision } = await wren.state(site);
  await wren.call(changePage, {
    params: { site, page },
    body: { seen: revision, label: 'Change', change: changed },
  });
};
const parts = (more: Record<string, object> = {}): Part[] =>
  [
    part('version', 'for-yard', {
      name: 'secret name',
      height: 'unlisted',
      entries: ['entry-yard', 'entry-clock'],
      ...more['for-yard'],
    }),
    part('version', 'for-all', {
      entries: ['entry-clock', 'entry-yard', 'entry-school', 'entry-weld'],
      ...more['for-all'],
    }),
    part('entry', 'entry-yard', {
      title: 'Saturday help',
      from: '2025-03',
      to: 'now',
      lines: [
        line('line-sand', 'Sanding and varnishing.'),
        line('line-trolley', 'Built the trolley.', clock),
      ],
    }),
    part('entry', 'entry-clock', {
      section: 'projects',
      page: clock,
      lines: [line('line-hand', 'One hand.')],
    }),
    part('entry', 'entry-weld', { section: 'skills', title: 'Welding', level: 'some' }),
    part('entry', 'entry-school', {
      section: 'education',
      title: 'School of the quay',
      ...more['entry-school'],
    }),
  ] as Part[];

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'kite-wall-resume-'));
  server = await TestServer.start();
  wren = await server.maker('Wren');
  ({
    site: { id: site },
  } = await wren.site());
  const make = async (kind: 'resume' | 'project' | 'about', title: string) =>
    (await wren.call(createPage, { params: { site }, body: { kind, title, materials: [] } })).page;
  [resume, clock, about] = [
    await make('resume', 'Résumé'),
    await make('project', 'Tide clock'),
    await make('about', 'About'),
  ];
  const { revision } = await wren.state(site);
  await wren.call(changeSite, {
    params: { site },
    body: { seen: revision, label: 'Open', change: { height: 'public', address: 'wren', by: 'Wren' } },
  });
  await change(clock, { height: 'public', parts: [part('quote', '1-quote', { text: 'It holds.' })] });
  await change(about, {
    height: 'public',
    parts: [part('full-name', 'part-name', { text: 'Wren Tolliver' })],
  });
  await change(resume, { height: 'public', parts: parts() });
  link = (await wren.publish(site)).live?.siteLinkPath ?? '';
});
afterAll(() => server.stop());

const textOf = async (bytes: Buffer) => {
  const path = join(folder, 'one.pdf');
  await writeFile(path, bytes);
  return (await run('pdftotext', [path, '-'])).stdout.replace(/\s+/g, ' ');
};
/** Where a PDF leads to, as poppler reads it. */
const linksOf = async (bytes: Buffer) => {
  const path = join(folder, 'links.pdf');
  await writeFile(path, bytes);
  return (await run('pdfinfo', ['-url', path])).stdout.match(/https?:\S+/g) ?? [];
};
const file = async (path: string) => {
  const { statusCode, rawPayload, headers } = await server.get(path);
  return {
    statusCode,
    type: headers['content-type'],
    text: statusCode === 200 ? await textOf(rawPayload) : '',
  };
};

describe('readers', () => {
  test('get the first version that they may have, on the page and as a file', async () => {
    const page = await server.get('/wren/resume/');
    expect(await htmlFaults(page.body)).toEqual([]);
    expect(page.body).toContain('School of the quay');
    expect(page.body).toContain('href="resume.pdf"');
    expect(page.body.indexOf('Tide clock')).toBeLessThan(page.body.indexOf('Saturday help'));
    expect(page.body).not.toContain('secret name');
    // What proves a line is led to where it stands.
    expect(page.body).toContain('href="../tide-clock/#at-1-quote"');
    expect((await server.get('/wren/tide-clock/')).body).toContain('<section id="at-1-quote"');
    const pdf = await file('/wren/resume/resume.pdf');
    expect(pdf).toMatchObject({ statusCode: 200, type: 'application/pdf' });
    for (const words of [
      'Wren Tolliver',
      'School of the quay',
      'Built the trolley. (Tide clock)',
      'since March 2025',
    ])
      expect(pdf.text).toContain(words);
    // Who has the link gets the one that is for them.
    expect((await server.get(`${link}resume/`)).body).not.toContain('School of the quay');
    const linked = await file(`${link}resume/resume.pdf`);
    expect(linked.text).toContain('Saturday help');
    expect(linked.text).not.toContain('School of the quay');
    // A secret link stands in no file.
    expect(linked.text).not.toContain(link.split('/')[2]);
  });

  test('are led to it from the page about its maker, as long as they can open it', async () => {
    const button = /<p class="to-resume"><a href="([^"]*)"[^>]*>([^<]*)</;
    const at = button.exec((await server.get('/wren/about/')).body);
    expect(at?.slice(1)).toEqual(['../resume/', 'Résumé']);
    // Below an entrance the same link stays below it, and leads to the version for those who came in there.
    expect(button.exec((await server.get(`${link}about/`)).body)?.[1]).toBe('../resume/');
    await change(resume, { height: 'private' });
    expect((await server.get('/wren/about/')).body).not.toMatch(/to-resume|Résumé/);
    await change(resume, { height: 'public' });
    await wren.publish(site);
    expect((await server.get('/wren/about/')).body).toMatch(button);
  });

  test('whose program reads schema.org get a person, of what this page says', async () => {
    const told = /<script type="application\/ld\+json">(.*?)<\/script>/.exec(
      (await server.get('/wren/resume/')).body,
    )?.[1];
    expect(JSON.parse(told ?? '')).toEqual({
      ...{
        '@context': 'https://schema.org',
        '@type': 'Person',
        name: 'Wren Tolliver',
        alternateName: 'Wren',
      },
      ...{ url: expect.stringMatching(/\/wren\/$/) as unknown, knowsAbout: ['Welding'] },
    });
  });

  test('whose program reads microformats get an h-resume with its h-card and events', async () => {
    // microformats.org/wiki/h-resume, read by the parser of the microformats project.
    const { items } = mf2((await server.get('/wren/resume/')).body, {
      baseUrl: 'https://kite.example/wren/resume/',
    });
    const found = items.find(({ type }) => type?.includes('h-resume'));
    const of = (name: string) =>
      (found?.properties[name] ?? []) as { properties: Record<string, unknown[]> }[];
    expect(of('contact').map(({ properties }) => properties['name'])).toEqual([['Wren Tolliver']]);
    expect(of('experience').map(({ properties }) => properties['name'])).toEqual([
      ['Tide clock'],
      ['Saturday help'],
    ]);
    expect(of('experience')[1]?.properties['start']).toEqual(['2025-03']);
    expect(of('education').map(({ properties }) => properties['name'])).toEqual([['School of the quay']]);
    expect(found?.properties['skill']).toEqual(['Welding, some']);
  });

  test('lose with the next request what is closed, on the page and in the file', async () => {
    await change(about, {
      parts: [part('full-name', 'part-name', { text: 'Wren Tolliver', height: 'private' })],
    });
    for (const path of ['/wren/resume/resume.pdf', `${link}resume/resume.pdf`])
      expect((await file(path)).text).not.toContain('Tolliver');
    for (const path of ['/wren/resume/', `${link}resume/`])
      expect((await server.get(path)).body).not.toContain('Tolliver');

    await wren.publish(site);
    await change(resume, { parts: parts({ 'entry-school': { height: 'private' } }) });
    expect((await file('/wren/resume/resume.pdf')).text).not.toContain('School');
    expect((await server.get('/wren/resume/')).body).not.toContain('School of the quay');

    await wren.publish(site);
    expect((await file('/wren/resume/resume.pdf')).text).toContain('Tide clock');
    // A project that is closed is named by no résumé either.
    await change(clock, { height: 'private' });
    for (const path of ['/wren/resume/resume.pdf', `${link}resume/resume.pdf`])
      expect((await file(path)).text).not.toMatch(/Tide clock|One hand/);
    for (const path of ['/wren/resume/', `${link}resume/`])
      expect((await server.get(path)).body).not.toMatch(/Tide clock|One hand/);
  });

  test('get no file where there is no version for them', async () => {
    await change(resume, { parts: parts({ 'for-all': { height: 'private' } }) });
    await wren.publish(site);
    expect((await file('/wren/resume/resume.pdf')).statusCode).toBe(404);
    expect((await server.get('/wren/resume/')).body).not.toContain('Saturday help');
    expect((await file(`${link}resume/resume.pdf`)).statusCode).toBe(200);
  });
});

describe('the link of a version', () => {
  const own = async () => (await wren.state(site)).live.pageLinkPaths['for-yard'] ?? '';
  test('opens that one and nothing else', async () => {
    await change(clock, { height: 'public' });
    await change(resume, { parts: parts() });
    await wren.publish(site);
    const path = await own();
    expect(path).toMatch(/^\/l\//);
    const { body } = await server.get(path);
    expect(body).toContain('Saturday help');
    // Its entrance has no other page: the project is not named, and leads nowhere.
    expect(body).not.toMatch(/School of the quay|Tide clock/);
    expect((await file(`${path}resume.pdf`)).text).toContain('Saturday help');
    expect((await server.get(`${path}tide-clock/`)).statusCode).toBe(404);
    // A Public version needs none.
    expect(Object.keys((await wren.state(site)).live.pageLinkPaths)).not.toContain('for-all');
  });

  test('stands at the foot of the file that its maker takes out so, and in none that readers fetch', async () => {
    const path = await own();
    const params = { site, page: resume, version: 'for-yard' };
    const out = async (foot?: 'link') => (await wren.raw('GET', versionFilePath(params, foot))).rawPayload;
    expect(await textOf(await out('link'))).toContain(`127.0.0.1:4180${path}`);
    expect(await linksOf(await out('link'))).toContain(`http://127.0.0.1:4180${path}`);
    for (const file of [await out(), (await server.get(`${path}resume.pdf`)).rawPayload]) {
      expect(await textOf(file)).not.toContain('/l/');
      expect((await linksOf(file)).join()).not.toContain('/l/');
    }
    // A Public one has an address, and says that.
    const all = await wren.raw('GET', versionFilePath({ ...params, version: 'for-all' }, 'link'));
    expect(await textOf(all.rawPayload)).toContain('127.0.0.1:4180/wren/resume/');
  });

  test('can be made anew, and is closed when the version is lowered', async () => {
    const old = await own();
    await wren.call(renewLink, { params: { site, thing: 'for-yard' } });
    const path = await own();
    expect(path).not.toBe(old);
    expect([(await server.get(old)).statusCode, (await server.get(path)).statusCode]).toEqual([404, 200]);
    const params = { site, page: resume, version: 'for-yard' };
    expect(await textOf((await wren.raw('GET', versionFilePath(params, 'link'))).rawPayload)).toContain(path);
    await change(resume, { parts: parts({ 'for-yard': { height: 'private' } }) });
    for (const at of [path, `${path}resume.pdf`]) {
      const closed = await server.get(at);
      expect([closed.statusCode, closed.body]).toEqual([404, (await server.get('/nobody/')).body]);
    }
    await change(resume, { parts: parts() });
    expect((await server.get(path)).statusCode).toBe(404);
    // What opens nothing is said by no file.
    const taken = await wren.raw('GET', versionFilePath(params, 'link'));
    expect(await textOf(taken.rawPayload)).not.toContain('/l/');
  });
});

describe('its maker', () => {
  test('is told how a version stands on paper, and sees its pages and its file', async () => {
    const params = { site, page: resume, version: 'for-yard' };
    const fit = await wren.call(fitVersion, { params });
    expect(fit).toMatchObject({ pages: 1, fits: true, couldStayOut: [], missing: [] });
    expect(fit.spareMm).toBeGreaterThan(150);
    const picture = await wren.raw('GET', versionPicturePath(params, 0, fit.file));
    expect([picture.statusCode, picture.headers['content-type']]).toEqual([200, 'image/webp']);
    // Also after the store was swept, which knows of no such file.
    await sweep(
      { db: server.database.db, blobs: server.blobs, assets: server.assets, limits: { maxTotalBytes: 1e9 } },
      { freshFor: 0 },
    );
    expect((await wren.raw('GET', versionPicturePath(params, 0, fit.file))).statusCode).toBe(200);
    expect(await textOf((await wren.raw('GET', versionFilePath(params))).rawPayload)).toContain(
      'Saturday help',
    );
    expect((await wren.raw('GET', versionPicturePath(params, 3, fit.file))).statusCode).toBe(404);
  });

  test('is told what could stay out where it does not fit, with why', async () => {
    const many = Array.from({ length: 20 }, (_, at) =>
      line(
        `line-more-${at}`,
        `Carried a crate number ${at} from the slip up to the shed, and wrote down what was in it for those who came later in the day.`,
      ),
    );
    const entries = Array.from({ length: 4 }, (_, at) =>
      part('entry', `entry-${at}`, {
        title: `Help ${at}`,
        lines: many.map((one) => ({ ...one, id: `${one.id}-${at}` })),
      }),
    );
    const long = part('version', 'for-long', { entries: entries.map(({ id }) => id), height: 'private' });
    await change(resume, { parts: [...parts(), long, ...entries] });
    const params = { site, page: resume, version: 'for-long' };
    const fit = await wren.call(fitVersion, { params });
    expect(fit.fits).toBe(false);
    expect(fit.pages).toBeGreaterThan(1);
    expect(fit.couldStayOut?.length).toBeGreaterThan(0);
    expect(fit.couldStayOut?.[0]?.reasons).toContain('no-proof');
    const without = new Set(fit.couldStayOut?.map(({ id }) => id));
    const shorter = {
      ...long,
      entries: entries.map(({ id }) => id).filter((id) => !without.has(id)),
      without: [...without],
    } as Part;
    await change(resume, { parts: [...parts(), shorter, ...entries] });
    expect(await wren.call(fitVersion, { params })).toMatchObject({ fits: true, pages: 1 });
  });

  test('looks at what each reader would take along', async () => {
    await change(resume, { parts: parts() });
    const seen = async (viewer: string) => {
      const { rawPayload, headers } = await wren.raw(
        'GET',
        `/studio/see/${site}/${viewer}/resume/resume.pdf`,
      );
      expect(headers['content-type']).toBe('application/pdf');
      return textOf(rawPayload);
    };
    expect(await seen('stranger')).toContain('School of the quay');
    expect(await seen('link')).not.toContain('School of the quay');
  });

  test('takes it out as text, Markdown and JSON Resume', async () => {
    const params = { site, page: resume, version: 'for-yard' };
    const as = async (format: 'json' | 'md' | 'txt') =>
      (await wren.raw('GET', versionAsPath(params, format))).body;
    expect(await as('txt')).toContain('WORK\nSaturday help (since March 2025)\n- Sanding and varnishing.');
    expect(await as('md')).toContain('**Saturday help**');
    const taken = fromJsonResume(JSON.parse(await as('json')));
    expect(taken.map(({ section, title }) => [section, title])).toEqual([
      ['work', 'Saturday help'],
      ['projects', 'Tide clock'],
    ]);
    expect(taken[0]?.lines[1]).toEqual({
      text: 'Built the trolley.',
      proof: { page: clock, part: '1-quote' },
    });
  });

  test('alone', async () => {
    const ash = await server.maker('Ash');
    const params = { site, page: resume, version: 'for-yard' };
    for (const path of [
      versionFilePath(params),
      versionPicturePath(params, 0, 'x'),
      versionAsPath(params, 'json'),
      `/api/sites/${site}/resumes/${resume}/for-yard`,
    ]) {
      expect((await ash.raw('GET', path)).statusCode).toBe(404);
      expect((await server.get(path)).statusCode).toBe(401);
    }
  });
});
