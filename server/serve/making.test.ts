import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { makePasses, type Pass } from '#contract/passes.ts';
import { htmlFaults } from '../testing/html-faults.ts';
import { PublishedSite } from '../testing/published-site.ts';
import { TestServer } from '../testing/test-server.ts';

/** A server on which everything takes longer than readers look at nothing. */
let server: TestServer;
let pass: Pass;

beforeAll(async () => {
  server = await TestServer.start({ MAKING_SECONDS: '0.02' });
  const maker = await server.maker();
  const shown = await PublishedSite.open(server, maker);
  const { passes } = await maker.call(makePasses, {
    params: { site: shown.site },
    body: {
      passes: [
        {
          ...{ label: 'Tutors', forWhom: '', opens: 'site', from: null, until: null },
          ...{ timeZone: 'Europe/Berlin', mayDownload: true, mayComment: false, asks: '' },
        },
      ],
    },
  });
  pass = passes[0] as Pass;
});
afterAll(() => server.stop());

test('who comes while pages are made for the first time is told so, asks again by themselves, and gets them', async () => {
  const asks = () => server.get(pass.link ?? '');
  const first = await asks();
  expect([first.statusCode, first.headers['refresh'], first.headers['retry-after']]).toEqual([503, '3', '3']);
  expect(first.headers['cache-control']).toBe('no-store');
  expect(first.headers['x-robots-tag']).toBe('noindex');
  expect(first.body).not.toContain('Tide clock');
  expect(await htmlFaults(first.body)).toEqual([]);
  for (;;) {
    const again = await asks();
    if (again.statusCode === 503) continue;
    expect(again.statusCode).toBe(200);
    expect(again.body).toContain('Tide clock');
    return;
  }
});
