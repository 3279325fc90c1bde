import { describe, expect, test } from '@jest/globals';
import { VisitCounts } from './visit-counts.ts';

const seen = { site: 'site-1', link: 'address', path: 'about/' };
/** As browsers write it (RFC 9110, section 10.1.5). */
const agent = 'Mozilla/5.0 (X11; Linux x86_64; rv:130.0) Gecko/20100101 Firefox/130.0';
const by = (from: string, what = agent) => ({ from, agent: what });
const noon = new Date('2026-11-28T12:00:00Z');
const of = (counts: VisitCounts, link = 'address') => counts.take().filter((one) => one.link === link);

describe('counting visits', () => {
  test('tells visits and visitors apart, on each page and on the site', () => {
    const counts = new VisitCounts();
    for (const from of ['192.0.2.1', '192.0.2.1', '192.0.2.2']) counts.see(seen, by(from), noon);
    counts.see({ ...seen, path: '' }, by('192.0.2.1'), noon);
    const taken = counts.take();
    expect(taken).toContainEqual({ ...seen, day: '2026-11-28', visits: 3, visitors: 2 });
    expect(taken).toContainEqual({
      ...seen,
      link: '*',
      path: '*',
      day: '2026-11-28',
      visits: 4,
      visitors: 2,
    });
    expect(counts.take()).toEqual([]);
  });

  test.each([
    ['a search engine', 'Mozilla/5.0 (compatible; Examplebot/2.1; +http://search.example/bot.html)'],
    ['a program', 'curl/8.5.0'],
    ['the outsider test', 'Kite Wall, testing as an outsider'],
    ['somebody who says nothing', ''],
  ])('leaves out %s', (_, what) => {
    const counts = new VisitCounts();
    counts.see(seen, by('192.0.2.1', what), noon);
    expect(counts.take()).toEqual([]);
  });

  test('knows nobody again on the next day', () => {
    const counts = new VisitCounts();
    counts.see(seen, by('192.0.2.1'), noon);
    counts.see(seen, by('192.0.2.1'), new Date('2026-11-29T00:00:00Z'));
    expect(of(counts).map(({ day, visitors }) => [day, visitors])).toEqual([
      ['2026-11-28', 1],
      ['2026-11-29', 1],
    ]);
  });

  test('knows a visitor again after what was counted was written down, and holds no address', () => {
    const counts = new VisitCounts();
    counts.see(seen, by('192.0.2.77'), noon);
    counts.take();
    counts.see(seen, by('192.0.2.77'), noon);
    expect(of(counts)[0]).toMatchObject({ visits: 1, visitors: 0 });
    expect(JSON.stringify(counts.take())).not.toContain('192.0.2.77');
  });

  test('goes on with what could not be written down', () => {
    const counts = new VisitCounts();
    counts.see(seen, by('192.0.2.1'), noon);
    const taken = counts.take();
    counts.see(seen, by('192.0.2.1'), noon);
    counts.putBack(taken);
    expect(of(counts)[0]).toMatchObject({ visits: 2, visitors: 1 });
  });
});
