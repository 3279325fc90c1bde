import { describe, expect, test } from '@jest/globals';
import type { Patch } from '#contract/patch.ts';
import { Refusal } from './call.ts';
import type { Pending } from './pending.ts';
import { SaveQueue } from './save-queue.ts';
import { UnsentNotes } from './unsent-notes.ts';

const patch = (revision: number): Patch => ({
  revision,
  site: null,
  pages: {},
  materials: {},
  history: { undo: null, redo: null },
  live: {
    release: null,
    readersReach: 'private',
    waiting: [],
    addressPath: null,
    siteLinkPath: null,
    pageLinkPaths: {},
  },
});

class Shelf {
  readonly #items = new Map<string, string>();
  get length() {
    return this.#items.size;
  }
  key = (at: number) => [...this.#items.keys()][at] ?? null;
  getItem = (key: string) => this.#items.get(key) ?? null;
  setItem = (key: string, value: string) => void this.#items.set(key, value);
  removeItem = (key: string) => void this.#items.delete(key);
}

/** Tabs that live hold the names of their notes; a tab that is closed lets go of them. */
class Tabs {
  readonly #held = new Map<string, Promise<unknown>>();
  /** A tab's own way to ask for a name; `close` lets go of all it holds. */
  open() {
    let close = () => {};
    const closed = new Promise<void>((resolve) => (close = resolve));
    const request = (name: string, held: () => unknown) => {
      const before = this.#held.get(name);
      const mine = (async () => {
        await before;
        await Promise.race([held(), closed]);
      })();
      this.#held.set(name, mine);
      return mine;
    };
    return { locks: { request } as unknown as Pick<LockManager, 'request'>, close };
  }
}

let visits = 0;
function queueWith(
  send: (pending: Pending, seen: number) => Promise<Patch & { joined?: boolean }>,
  store = new Shelf(),
  seen = () => 5,
  locks?: Pick<LockManager, 'request'>,
) {
  const applied: { patch: Patch; keep: string[] }[] = [];
  const takenOver: string[] = [];
  const joinings: number[] = [];
  const misplaced: number[] = [];
  const queue = new SaveQueue({
    site: 'site-1',
    onJoined: () => joinings.push(joinings.length),
    onMisplaced: () => misplaced.push(misplaced.length),
    onTakenOver: (left) => takenOver.push(...left.map(({ id }) => id)),
    seen,
    row: () => undefined,
    apply: (one, keep) => applied.push({ patch: one, keep: [...keep] }),
    notes: new UnsentNotes('site-1', { store, locks, visit: `visit-${++visits}` }),
    send,
    waitMs: 1,
    retryMs: 1,
  });
  return { queue, applied, store, takenOver, joinings, misplaced };
}

describe('SaveQueue', () => {
  test('typing in one field is sent once, with the last words', async () => {
    const sent: Pending[] = [];
    const { queue } = queueWith(async (pending) => (sent.push(pending), patch(6)));
    for (const title of ['T', 'Ti', 'Tid', 'Tide'])
      queue.change('page', 'page-1', { title }, 'Title', 'page-1 title');
    expect(queue.state.kind).toBe('saving');
    await queue.flush();
    expect(sent.map((one) => one.change)).toEqual([{ title: 'Tide' }]);
    expect(queue.state.kind).toBe('saved');
  });

  test('never says saved of words that are typed and in no change yet', async () => {
    const { queue } = queueWith(async () => patch(6));
    queue.setTyping(true);
    expect(queue.state.kind).toBe('saving');
    queue.change('page', 'page-1', { title: 'T' }, 'Title', 'page-1 title');
    await queue.flush();
    // What was taken over is saved, and more has been typed since.
    expect(queue.state.kind).toBe('saving');
    queue.setTyping(false);
    expect(queue.state.kind).toBe('saved');
    queue.setTyping(true);
    queue.change('page', 'page-1', { title: 'Ti' }, 'Title', 'page-1 title');
    queue.setTyping(false);
    expect(queue.state.kind).toBe('saving');
    await queue.flush();
    expect(queue.state.kind).toBe('saved');
  });

  test('never says saved while something is unsent, and spares rows changed meanwhile', async () => {
    let typedMore = false;
    const { queue, applied } = queueWith(async () => {
      if (!typedMore) {
        typedMore = true;
        queue.change('page', 'page-1', { summary: 'more' }, 'Summary', 'page-1 summary');
      }
      expect(queue.state.kind).toBe('saving');
      return patch(6);
    });
    queue.change('page', 'page-1', { title: 'Tide' }, 'Title', 'page-1 title');
    await queue.flush();
    expect(applied.map((one) => one.keep)).toEqual([['page-1'], []]);
    expect(queue.unsent).toEqual([]);
  });

  test('a lost line: says how many edits wait, keeps them, and sends them in order when it is back', async () => {
    let online = false;
    const sent: unknown[] = [];
    const { queue } = queueWith(async (pending) => {
      if (!online) throw new Refusal(0, { code: 'unreachable', message: 'away' });
      sent.push(pending.change);
      return patch(7);
    });
    queue.change('page', 'page-1', { title: 'One' }, 'Title', 'a');
    await queue.flush();
    queue.change('page', 'page-2', { title: 'Two' }, 'Title', 'b');
    expect(queue.state).toEqual({ kind: 'offline', edits: 2, server: false });
    online = true;
    await queue.flush();
    expect(sent).toEqual([{ title: 'One' }, { title: 'Two' }]);
    expect(queue.state.kind).toBe('saved');
  });

  test('what was not sent survives a reload', async () => {
    const store = new Shelf();
    const first = queueWith(() => new Promise(() => {}), store);
    first.queue.change('page', 'page-1', { title: 'Kept' }, 'Title', 'a');
    void first.queue.flush();
    const sent: Pending[] = [];
    const second = queueWith(async (pending) => (sent.push(pending), patch(6)), store);
    await second.queue.flush();
    expect(sent.map((one) => one.change)).toEqual([{ title: 'Kept' }]);
  });

  test('words sent once more after a reload meet themselves, and no other tab is spoken of', async () => {
    const store = new Shelf();
    const first = queueWith(() => new Promise(() => {}), store);
    first.queue.change('page', 'page-1', { title: 'Kept' }, 'Title', 'a');
    void first.queue.flush();
    const seen: number[] = [];
    // The first sending had arrived, and only its answer was lost: the row is newer than what was looked at then.
    const second = queueWith(
      async (_, at) => (seen.push(at), { ...patch(9), joined: at < 8 }),
      store,
      () => 8,
    );
    second.queue.change('page', 'page-1', { summary: 'Typed after it' }, 'Summary', 'b');
    await second.queue.flush();
    expect(seen).toEqual([5, 8]);
    expect(second.joinings).toEqual([]);
    // What another tab did is told as ever.
    const other = queueWith(async () => ({ ...patch(10), joined: true }));
    other.queue.change('page', 'page-1', { title: 'Mine' }, 'Title', 'a');
    await other.queue.flush();
    expect(other.joinings).toHaveLength(1);
  });

  test('two tabs that cannot send keep their words apart, and what the closed one had is sent by one that lives', async () => {
    const [store, tabs] = [new Shelf(), new Tabs()];
    const [one, two, later] = [tabs.open(), tabs.open(), tabs.open()];
    const away = () => new Promise<Patch>(() => {});
    const first = queueWith(away, store, undefined, one.locks);
    first.queue.change('page', 'page-1', { title: 'Of the first' }, 'Title', 'a');
    void first.queue.flush();
    const second = queueWith(away, store, undefined, two.locks);
    second.queue.change('page', 'page-2', { title: 'Of the second' }, 'Title', 'b');
    void second.queue.flush();
    // The first lives: its words are its own to send.
    expect(second.takenOver).toEqual([]);
    expect(second.queue.unsent.map(({ id }) => id)).toEqual(['page-2']);
    one.close();
    while (second.takenOver.length === 0) await new Promise((resolve) => setTimeout(resolve, 1));
    expect(second.queue.unsent.map(({ id }) => id).sort()).toEqual(['page-1', 'page-2']);
    two.close();
    const sent: Pending[] = [];
    const third = queueWith(async (pending) => (sent.push(pending), patch(6)), store, undefined, later.locks);
    while (sent.length < 2) await new Promise((resolve) => setTimeout(resolve, 1));
    expect(sent.map(({ change }) => change['title']).sort()).toEqual(['Of the first', 'Of the second']);
    await third.queue.flush();
    expect(store.length).toBe(0);
  });

  test('a tab that has sent everything takes nothing away from one that has not', async () => {
    const [store, tabs] = [new Shelf(), new Tabs()];
    const away = () => new Promise<Patch>(() => {});
    const first = queueWith(away, store, undefined, tabs.open().locks);
    first.queue.change('page', 'page-1', { title: 'Kept' }, 'Title', 'a');
    void first.queue.flush();
    const second = queueWith(async () => patch(6), store, undefined, tabs.open().locks);
    second.queue.change('page', 'page-2', { title: 'Sent' }, 'Title', 'b');
    await second.queue.flush();
    expect([store.length, store.getItem(store.key(0) ?? '')]).toEqual([1, expect.stringContaining('Kept')]);
  });

  test('a conflict keeps my words until I choose', async () => {
    const seenSent: number[] = [];
    const { queue, store } = queueWith(async ({ id }, seen) => {
      seenSent.push(seen);
      if (id === 'page-1' && seen < 9)
        throw new Refusal(409, { code: 'newer', message: 'changed elsewhere', details: { revision: 9 } });
      return patch(10);
    });
    queue.change('page', 'page-1', { title: 'Mine' }, 'Title', 'a');
    expect(await queue.flush()).toBe(false);
    expect(queue.state).toMatchObject({ kind: 'conflict', pending: { change: { title: 'Mine' } } });
    // It is laid over whatever is fetched meanwhile, and a reload after more was typed loses none of it.
    expect(queue.unsent.map(({ change }) => change)).toEqual([{ title: 'Mine' }]);
    queue.change('page', 'page-2', { title: 'More' }, 'Title', 'b');
    expect(store.getItem(store.key(0) ?? '')).toMatch(/Mine.*More/);
    queue.resolve('mine');
    expect(await queue.flush()).toBe(true);
    expect(seenSent).toEqual([5, 9, 5]);
    expect(queue.state.kind).toBe('saved');
  });

  test('what is refused for good is said once and does not block what follows', async () => {
    const { queue } = queueWith(async (pending) => {
      if (pending.id === 'page-1') throw new Refusal(400, { code: 'invalid', message: 'Too long.' });
      return patch(6);
    });
    queue.change('page', 'page-1', { title: 'x' }, 'Title', 'a');
    await queue.flush();
    expect(queue.state).toEqual({ kind: 'failed', message: 'Too long.', again: false });
    queue.change('page', 'page-2', { title: 'y' }, 'Title', 'b');
    await queue.flush();
    expect(queue.state.kind).toBe('saved');
  });

  test('a place that is refused is told, and where the page stands is asked for anew', async () => {
    const { queue, misplaced } = queueWith(async () => {
      throw new Refusal(409, { code: 'no-place', message: 'A page cannot stand below itself.' });
    });
    queue.change('page', 'page-1', { parent: 'page-2' }, 'Place', 'page-1 place');
    await queue.flush();
    expect(queue.state).toMatchObject({ kind: 'failed', message: 'A page cannot stand below itself.' });
    expect(misplaced).toHaveLength(1);
    // Of words that are refused, nothing is fetched over what its maker typed.
    const words = queueWith(async () => {
      throw new Refusal(400, { code: 'parts', message: 'Too many.' });
    });
    words.queue.change('page', 'page-1', { title: 'T' }, 'Title', 'a');
    await words.queue.flush();
    expect(words.misplaced).toEqual([]);
  });

  test('signed out in mid-work: says so, keeps the words, and sends them after signing in again', async () => {
    let signedIn = false;
    const { queue } = queueWith(async () => {
      if (!signedIn) throw new Refusal(401, { code: 'signed-out', message: 'You are signed out.' });
      return patch(6);
    });
    queue.change('page', 'page-1', { title: 'Kept' }, 'Title', 'a');
    await queue.flush();
    expect(queue.state).toEqual({ kind: 'failed', message: 'You are signed out.', again: true });
    expect(queue.unsent.length).toBe(1);
    signedIn = true;
    queue.retry();
    await queue.flush();
    expect(queue.state.kind).toBe('saved');
  });

  test('a newer version that arrives while typing does not pass for the one the maker changed', async () => {
    let arrived = 5;
    const seenSent: number[] = [];
    const { queue } = queueWith(
      async (_, seen) => (seenSent.push(seen), patch(8)),
      new Shelf(),
      () => arrived,
    );
    queue.change('page', 'page-1', { title: 'T' }, 'Title', 'page-1 title');
    arrived = 7;
    queue.change('page', 'page-1', { title: 'Tide' }, 'Title', 'page-1 title');
    queue.change('page', 'page-1', { summary: 'Slow' }, 'Summary', 'page-1 summary');
    queue.change('page', 'page-2', { title: 'Other' }, 'Title', 'page-2 title');
    await queue.flush();
    expect(seenSent).toEqual([5, 5, 7]);
  });

  test('words an older studio kept, without a revision, are sent as seen at none, so the maker is asked', async () => {
    const store = new Shelf();
    const kept = { kind: 'page', id: 'page-1', change: { title: 'Tide' }, label: 'Title', mergeKey: 'a' };
    store.setItem('kite-wall unsent site-1', JSON.stringify([kept]));
    const seenSent: number[] = [];
    const { queue } = queueWith(async (_, seen) => (seenSent.push(seen), patch(8)), store);
    await queue.flush();
    expect(seenSent).toEqual([0]);
  });

  test('what waits for a row builds on the answer to what was sent for it before', async () => {
    const seenSent: number[] = [];
    const { queue } = queueWith(
      async (_, seen) => (
        seenSent.push(seen),
        { ...patch(seen + 4), pages: { 'page-1': {} as Patch['pages'][string] } }
      ),
    );
    queue.change('page', 'page-1', { title: 'Tide' }, 'Title', 'page-1 title');
    queue.change('page', 'page-1', { summary: 'Slow' }, 'Summary', 'page-1 summary');
    await queue.flush();
    expect(seenSent).toEqual([5, 9]);
  });

  test('an error of the server gives nothing up: it is kept across a reload and sent when it works again', async () => {
    let answers = 0;
    let works = false;
    const store = new Shelf();
    const broken = new Refusal(500, { code: 'server-error', message: 'Something went wrong.' });
    const { queue } = queueWith(async () => {
      answers++;
      if (!works) throw broken;
      return patch(6);
    }, store);
    queue.change('page', 'page-1', { title: 'Kept' }, 'Title', 'page-1 title');
    await queue.flush();
    expect(queue.state).toEqual({ kind: 'offline', edits: 1, server: true });
    expect(queue.unsent.map(({ change }) => change)).toEqual([{ title: 'Kept' }]);
    // It goes on trying by itself.
    while (answers < 4) await new Promise((resolve) => setTimeout(resolve, 5));
    expect(queue.unsent).toHaveLength(1);

    const sent: Pending[] = [];
    const { queue: reloaded } = queueWith(async (pending) => (sent.push(pending), patch(6)), store);
    await reloaded.flush();
    expect(sent.map(({ change }) => change)).toEqual([{ title: 'Kept' }]);
    expect(reloaded.state.kind).toBe('saved');
    works = true;
    while (queue.state.kind !== 'saved') await new Promise((resolve) => setTimeout(resolve, 5));
  });
});
