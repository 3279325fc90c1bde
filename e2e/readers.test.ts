import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readdir, readFile } from 'node:fs/promises';
import { get } from 'node:http';
import { BuiltServer } from './support/demo-server.ts';

let server: BuiltServer;
beforeAll(async () => {
  server = await BuiltServer.start('demo', { READERS: '3' });
});
afterAll(() => server.stop());

/** Process numbers of this server's reading processes, from Linux's own list. */
async function readers(): Promise<number[]> {
  const found: number[] = [];
  for (const name of await readdir('/proc')) {
    if (!/^\d+$/.test(name)) continue;
    const stat = await readFile(`/proc/${name}/stat`, 'utf8').catch(() => '');
    // Fields after the program's name, which stands in brackets: state, parent (proc(5)).
    const [state, parent] = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
    if (state === 'Z' || Number(parent) !== server.process) continue;
    // Beside them there are processes that look into files.
    const program = await readFile(`/proc/${name}/cmdline`, 'utf8').catch(() => '');
    if (program.includes('reader.js')) found.push(Number(name));
  }
  return found;
}

const until = async (what: () => Promise<boolean>) => {
  const end = Date.now() + 15_000;
  while (!(await what())) {
    if (Date.now() > end) throw new Error('It never came to that.');
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
};
/** A request on a connection of its own, so that any of the readers may get it. */
const page = (path = '/wren-makes/') =>
  new Promise<{ status: number }>((resolve, reject) => {
    get(`${server.origin}${path}`, { agent: false }, (answer) => {
      answer.resume();
      answer.on('end', () => resolve({ status: answer.statusCode ?? 0 }));
    }).on('error', reject);
  });

describe('the reading processes', () => {
  test('all stop giving a page out before the maker is told that it is closed, and give it again once it is published', async () => {
    const cookie = (
      await fetch(`${server.origin}/api/session/demo`, {
        method: 'POST',
        headers: { origin: server.origin, 'content-type': 'application/json' },
        body: '{}',
      })
    ).headers
      .getSetCookie()
      .map((one) => one.split(';')[0])
      .join('; ');
    const call = async (path: string, init: RequestInit = {}) => {
      const answer = await fetch(`${server.origin}/api${path}`, {
        ...init,
        headers: { cookie, origin: server.origin, 'content-type': 'application/json' },
      });
      if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
      return (await answer.json()) as Record<string, never>;
    };
    const [site] = (await call('/sites')) as unknown as { id: string }[];
    if (!site) throw new Error('The demo has no site.');
    for (let round = 0; round < 3; round++) {
      const before = await Promise.all(Array.from({ length: 24 }, () => page()));
      expect(new Set(before.map((one) => one.status))).toEqual(new Set([200]));
      // Raising opens nothing; only publishing does.
      for (const height of ['private', 'public'] as const) {
        const { revision } = (await call(`/sites/${site.id}`)) as unknown as { revision: number };
        await call(`/sites/${site.id}`, {
          method: 'PATCH',
          body: JSON.stringify({ seen: revision, label: 'Height', change: { height } }),
        });
        const after = await Promise.all(Array.from({ length: 24 }, () => page()));
        expect(new Set(after.map((one) => one.status))).toEqual(new Set([404]));
      }
      let job = await call(`/sites/${site.id}/publish`, { method: 'POST', body: '{}' });
      while (job['state'] === 'running') {
        await new Promise((resolve) => setTimeout(resolve, 50));
        job = await call(`/sites/${site.id}/publish/${String(job['id'])}`);
      }
      const again = await Promise.all(Array.from({ length: 24 }, () => page()));
      expect(new Set(again.map((one) => one.status))).toEqual(new Set([200]));
    }
  });

  test('one that dies is replaced, and readers notice nothing that lasts', async () => {
    const before = await readers();
    expect(before.length).toBe(3);
    process.kill(before[0] ?? 0, 'SIGKILL');
    await until(async () => {
      const now = await readers();
      return now.length === 3 && !now.includes(before[0] ?? 0);
    });
    await until(async () => (await page()).status === 200);
  });

  test('when the plug is pulled none is left behind, and the same port opens again', async () => {
    const before = await readers();
    await server.kill();
    const alive = (pid: number) => {
      try {
        process.kill(pid, 0);
        return true;
      } catch {
        return false;
      }
    };
    await until(async () => !before.some(alive));
    await server.run();
    expect((await page()).status).toBe(200);
  });
});
