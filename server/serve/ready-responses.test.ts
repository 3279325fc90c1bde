import { describe, expect, test } from '@jest/globals';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { acceptedCoding, ReadyResponses } from './ready-responses.ts';

describe('acceptedCoding', () => {
  // The first four header values are the examples of RFC 9110, section 12.5.3 (from memory).
  test.each([
    ['compress, gzip', 'gzip'],
    ['', 'identity'],
    ['gzip;q=1.0, identity; q=0.5, *;q=0', 'gzip'],
    ['compress;q=0.5, gzip;q=1.0', 'gzip'],
    ['gzip, deflate, br', 'br'],
    ['br;q=0, gzip', 'gzip'],
    ['br;q=0.0,gzip;q=0', 'identity'],
    ['brotli', 'identity'],
    [undefined, 'identity'],
  ])('%s takes %s', (header, coding) => {
    expect(acceptedCoding(header)).toBe(coding);
  });
});

describe('ReadyResponses', () => {
  const ask = (ready: ReadyResponses, url: string, headers: Record<string, string> = {}, method = 'GET') => {
    const said: unknown[] = [];
    const request = { method, url, headers } as unknown as IncomingMessage;
    const response = {
      writeHead: (status: number) => said.push(status),
      end: (body?: Buffer) => body && said.push(body.toString()),
    } as unknown as ServerResponse;
    return ready.answer(request, response) ? said : null;
  };
  const page = { etag: '"a"', headers: ['etag', '"a"'], body: Buffer.from('page') };

  test('answers what it keeps, for that coding, path and method only', () => {
    const ready = new ReadyResponses(10_000);
    ready.keep({ age: ready.age, site: 'a' }, '/wren/', 'gzip', page);
    expect(ask(ready, '/wren/', { 'accept-encoding': 'gzip' })).toEqual([200, 'page']);
    expect(ask(ready, '/wren/', { 'accept-encoding': 'gzip', 'if-none-match': '"a"' })).toEqual([304]);
    expect(ask(ready, '/wren/')).toBeNull();
    expect(ask(ready, '/other/', { 'accept-encoding': 'gzip' })).toBeNull();
    expect(ask(ready, '/wren/', { 'accept-encoding': 'gzip' }, 'POST')).toBeNull();
  });

  test('an answer begun before something was closed is not kept after it', () => {
    const ready = new ReadyResponses(10_000);
    const begun = { age: ready.age, site: 'a' };
    ready.clear(['b']);
    ready.keep(begun, '/wren/', 'identity', page);
    expect(ask(ready, '/wren/')).toBeNull();
  });

  test('what is closed of one site leaves the answers of others', () => {
    const ready = new ReadyResponses(10_000);
    for (const site of ['a', 'b', 'c']) ready.keep({ age: ready.age, site }, `/${site}/`, 'identity', page);
    ready.clear(['a', 'c']);
    expect(['/a/', '/b/', '/c/'].map((url) => ask(ready, url) !== null)).toEqual([false, true, false]);
    ready.clear();
    expect(ask(ready, '/b/')).toBeNull();
  });

  test('never holds more than it may', () => {
    const ready = new ReadyResponses(200);
    for (let n = 0; n < 100; n++) ready.keep({ age: ready.age, site: 'a' }, `/${n}/`, 'identity', page);
    const held = Array.from({ length: 100 }, (_, n) => ask(ready, `/${n}/`)).filter(Boolean).length;
    expect(held).toBeGreaterThan(0);
    expect(held * page.body.byteLength).toBeLessThanOrEqual(200);
  });
});
