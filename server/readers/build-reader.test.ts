import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import Fastify, { type FastifyInstance } from 'fastify';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buffer } from 'node:stream/consumers';
import { ReadyResponses } from '../serve/ready-responses.ts';
import { buildReader } from './build-reader.ts';
import { keepHeader, writeKeep } from './messages.ts';

let folder: string;
let owner: FastifyInstance;
let reader: FastifyInstance;
let ready: ReadyResponses;
let origin: string;
let asked: { url: string; headers: Record<string, unknown> }[];
/** The age the owner says it answers at. */
let age: number;

/** Beyond ASCII, as paths of pages may be. */
const seen = { site: 'site-1', link: 'address', path: 'küste/' };
const keep = () => writeKeep({ age, site: 'site-1', seen });
/** What the reader counted by itself. */
let counted: object[];

beforeEach(async () => {
  counted = [];
  folder = await mkdtemp(join(tmpdir(), 'kite-wall-reader-'));
  asked = [];
  age = 1;
  owner = Fastify();
  owner.addContentTypeParser('*', (_request, payload, done) => done(null, payload));
  owner.addHook('onRequest', async ({ url, headers }) => void asked.push({ url, headers }));
  owner.get('/open/*', (_request, reply) =>
    reply.headers({ [keepHeader]: keep(), etag: '"e"', 'content-type': 'text/html' }).send('for anyone'),
  );
  owner.get('/api/me', (_request, reply) => reply.header('set-cookie', 'a=1').send({ name: 'Wren' }));
  owner.get('/gone', (_request, reply) => reply.code(404).header(keepHeader, keep()).send('closed'));
  owner.post('/api/files', async ({ body }) => ({
    bytes: (await buffer(body as NodeJS.ReadableStream)).byteLength,
  }));
  const socket = join(folder, 'owner');
  await owner.listen({ path: socket });
  ready = new ReadyResponses(100_000, (what) => counted.push(what));
  ready.clear(undefined, age);
  reader = await buildReader(socket, ready);
  origin = await reader.listen({ host: '127.0.0.1', port: 0 });
});
afterEach(async () => {
  await reader.close();
  await owner.close();
  await rm(folder, { recursive: true, force: true });
});

const ask = (path: string, init?: RequestInit) => fetch(`${origin}${path}`, init);

describe('a reading process', () => {
  test('asks the owner once for what may be kept, and gives the same bytes and headers after', async () => {
    const [first, second] = [await ask('/open/page?x=1'), await ask('/open/page?x=1')];
    expect(await first.text()).toBe('for anyone');
    expect(await second.text()).toBe('for anyone');
    expect(asked.length).toBe(1);
    for (const answer of [first, second]) {
      expect(answer.headers.get('etag')).toBe('"e"');
      expect(answer.headers.get('content-type')).toBe('text/html');
      expect(answer.headers.has(keepHeader)).toBe(false);
    }
    expect((await ask('/open/page?x=1', { headers: { 'if-none-match': '"e"' } })).status).toBe(304);
    expect(asked.length).toBe(1);
    // The first was the owner's to count.
    expect(counted).toEqual([seen, seen]);
  });

  test('keeps nothing the owner answered before something was closed', async () => {
    ready.clear(['site-2'], 2);
    await ask('/open/page');
    await ask('/open/page');
    expect(asked.length).toBe(2);
    age = 2;
    await ask('/open/page');
    await ask('/open/page');
    expect(asked.length).toBe(3);
    ready.clear(['site-2'], 3);
    await ask('/open/page');
    expect(asked.length).toBe(3);
    ready.clear(['site-1'], 4);
    await ask('/open/page');
    expect(asked.length).toBe(4);
  });

  test('never keeps what has no mark, nor what is not there', async () => {
    for (const path of ['/api/me', '/api/me', '/gone', '/gone']) await ask(path);
    expect(asked.length).toBe(4);
    expect((await ask('/api/me')).headers.get('set-cookie')).toBe('a=1');
    expect((await ask('/gone')).status).toBe(404);
  });

  test('passes a large upload on as it comes', async () => {
    const body = Buffer.alloc(30 * 1024 * 1024, 7);
    const answer = await ask('/api/files', {
      method: 'POST',
      body,
      headers: { 'content-type': 'application/octet-stream' },
    });
    expect(await answer.json()).toEqual({ bytes: body.byteLength });
  });

  test('says who asks, and under which name', async () => {
    await ask('/api/me', { headers: { 'x-forwarded-for': '203.0.113.9', cookie: 'b=2' } });
    // A proxy on this machine is believed (203.0.113.0/24 is for documentation, RFC 5737).
    expect(asked[0]?.headers).toMatchObject({
      'x-forwarded-for': '203.0.113.9, 127.0.0.1',
      host: new URL(origin).host,
      cookie: 'b=2',
    });
  });

  test('while the owner is away, says so and asks to try again', async () => {
    await owner.close();
    const answer = await ask('/api/me');
    expect(answer.status).toBe(503);
    expect(answer.headers.get('retry-after')).toBe('1');
  });
});
