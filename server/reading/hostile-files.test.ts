import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { getSite } from '#contract/sites.ts';
import { hostileFiles } from '../testing/hostile-files.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

/**
 * Files that are made to stop a server. Each one has to be answered with a sentence, and others have to be answered
 * meanwhile. What others wait is measured by `npm run bench`; here it is what this process works at one go that counts,
 * in processor time, since that is the same on a machine that runs many tests at once. A server that reads such a file
 * itself works for many times that.
 */
const mostWorkMs = 2000;

/** The longest this process worked between two moments in which it could have answered somebody. */
const longestWork = () => {
  let from = process.cpuUsage();
  let longest = 0;
  const timer = setInterval(() => {
    const { user, system } = process.cpuUsage(from);
    longest = Math.max(longest, (user + system) / 1000);
    from = process.cpuUsage();
  }, 10);
  return {
    endMs: () => {
      clearInterval(timer);
      return longest;
    },
  };
};

let server: TestServer;
let maker: TestMaker;
let site: string;
beforeAll(async () => {
  server = await TestServer.start({ READING_SECONDS: '4' });
  maker = await server.maker();
  site = (await maker.site()).site.id;
});
afterAll(() => server.stop());

const upload = (name: string, contents: Buffer) =>
  maker.raw('POST', `/api/sites/${site}/materials?name=${name}`, contents, 'application/octet-stream');

describe('files that are made to stop a server', () => {
  test.each(hostileFiles.map(({ name, make }) => [name, make] as const))('%s', async (name, make) => {
    const contents = make();
    const work = longestWork();
    const sending = upload(name, contents);
    let others = 0;
    const asking = (async () => {
      for (let answered = false; !answered; others++) {
        answered = await Promise.race([
          sending.then(() => true),
          maker.call(getSite, { params: { site } }).then(() => false),
        ]);
        await new Promise((resolve) => setTimeout(resolve, 20));
      }
    })();
    const reply = await sending;
    await asking;
    const workMs = work.endMs();
    const { message } = reply.json<{ message?: string }>();
    if (reply.statusCode !== 200) {
      expect([413, 415, 422]).toContain(reply.statusCode);
      expect(message).toMatch(/^[A-Z].*\.$/);
    }
    expect(others).toBeGreaterThan(0);
    expect(workMs).toBeLessThan(mostWorkMs);
    if (process.env['SHOW_WAITS'])
      process.stdout.write(
        `${name}: ${Math.round(contents.length / 1024)} KB, ${reply.statusCode} ${message ?? 'taken'}; at most ${Math.round(workMs)} ms of work at once\n`,
      );
  });

  test('after all of them an ordinary file is read as ever', async () => {
    // This server reads for seconds only, which a busy machine may need for a note as well: then it is asked again.
    const tries: number[] = [];
    while (tries.at(-1) !== 200 && tries.length < 12)
      tries.push((await upload('note.md', Buffer.from('# A stool\n\nFrom one board.'))).statusCode);
    expect(tries.at(-1)).toBe(200);
  });

  test('an ordinary file is read while one of them is', async () => {
    // Far more time than any machine needs to start what reads: what is asked here is not how fast that is. The other
    // file is one that is read for as long as it may be, and ends by no limit of memory; closing ends it at once.
    const patient = await TestServer.start({ READING_SECONDS: '800' });
    const [one, other] = [await patient.maker(), await patient.maker()];
    // Of one maker's files only so many are read at once that a process is left for somebody else's.
    const send = async (by: TestMaker, name: string, contents: Buffer) =>
      by.raw(
        'POST',
        `/api/sites/${(await by.site()).site.id}/materials?name=${name}`,
        contents,
        'application/octet-stream',
      );
    const hostile = hostileFiles.find(({ name }) => name === 'paths.pdf');
    let ended = false;
    const slow = send(one, 'slow.pdf', hostile?.make() ?? Buffer.alloc(0)).then(() => (ended = true));
    const note = await send(other, 'note.md', Buffer.from('# A stool\n\nFrom one board.'));
    expect([note.statusCode, ended]).toEqual([200, false]);
    patient.reading.close();
    await slow;
    await patient.stop();
  });
});
