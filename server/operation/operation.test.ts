import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readConfig } from '../config.ts';
import { makePasses } from '#contract/passes.ts';
import { changeSite } from '#contract/sites.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';
import { Measures } from './measures.ts';

/** What whoever runs the server asks of it. */
const measures = new Measures();
let server: TestServer;
let maker: TestMaker;
beforeAll(async () => {
  server = await TestServer.start({}, {}, undefined, measures);
  maker = await server.maker('Ottilie Brandt');
});
afterAll(() => server.stop());

describe('health', () => {
  test('is told to anybody, and nothing else with it', async () => {
    const reply = await server.get('/api/health');
    expect([reply.statusCode, reply.json()]).toEqual([200, { status: 'well' }]);
    expect(reply.headers['cache-control']).toBe('no-store');
    expect(reply.headers['set-cookie']).toBeUndefined();
  });

  test('is bad once the database does not answer', async () => {
    const other = await TestServer.start();
    expect((await other.get('/api/health')).statusCode).toBe(200);
    await other.database.close();
    // What was found holds for a second.
    await new Promise((resolve) => setTimeout(resolve, 1100));
    const reply = await other.get('/api/health');
    expect([reply.statusCode, reply.json()]).toEqual([503, { status: 'database-does-not-answer' }]);
    other.database.close = async () => {};
    await other.stop();
  });
});

describe('measures', () => {
  test('are no part of what the server shows to readers', async () => {
    for (const path of ['/metrics', '/api/metrics']) expect((await server.get(path)).statusCode).toBe(404);
  });

  test('are off unless a port is named', () => {
    expect(readConfig({}, '/').metricsPort).toBeNull();
    expect(readConfig({ METRICS_PORT: '9400' }, '/').metricsPort).toBe(9400);
  });

  test('count what is asked, and hold no address, key or name', async () => {
    const { site } = await maker.site('Ottilie makes');
    const change = { height: 'public' as const, address: 'ottilie-makes' };
    await maker.call(changeSite, { params: { site: site.id }, body: { seen: 0, label: 'Open it', change } });
    await maker.publish(site.id);
    const terms = { opens: 'site' as const, from: null, until: null, timeZone: 'UTC', mayDownload: true };
    const { passes } = await maker.call(makePasses, {
      params: { site: site.id },
      body: { passes: [{ ...terms, label: 'Tutors', forWhom: 'P. Lunn' }] },
    });
    const way = passes[0]?.link ?? '';
    expect(way).not.toBe('');
    for (const path of ['/ottilie-makes/', way, `${way}nothing/`, '/nobody-here/']) await server.get(path);

    const reply = await measures.server().inject('/metrics');
    expect(reply.headers['content-type']).toMatch(/^text\/plain; version=0\.0\.4/);
    const lines = reply.body.trim().split('\n');
    // The text format, version 0.0.4, from memory: a comment, or a name with labels and a number.
    const line = /^(?:# (?:HELP|TYPE) .+|[a-z_:][\w:]*(?:\{[^{}]*\})? (?:[-+\d.e]+|NaN|\+Inf))$/;
    expect(lines.filter((one) => one !== '' && !line.test(one))).toEqual([]);
    expect(lines).toContain('kite_wall_things{kind="sites_published"} 1');
    expect(lines).toContain('kite_wall_things{kind="accounts"} 1');
    expect(reply.body).toMatch(/kite_wall_request_seconds_count\{[^}]*status="4xx"\} [1-9]/);
    const said = [
      'ottilie',
      'Ottilie',
      'lunn',
      way.slice(3, -1),
      site.id,
      maker.cookie.split('=')[1] ?? 'none',
    ];
    expect(said.filter((one) => reply.body.includes(one))).toEqual([]);
  });
});
