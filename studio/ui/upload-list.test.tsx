/** @jest-environment ./build/document.jest.js */
import { beforeEach, describe, expect, test } from '@jest/globals';
import { act, screen, waitFor, within } from '@testing-library/react';
import { UploadsProvider, useUploads } from '../api/uploads-context.tsx';
import { openSite, patchOf } from '../testing/open-site.tsx';
import { UploadList } from './upload-list.tsx';

/** One file on its way, as the browser would send it; the test says how far it gets. */
class Sending {
  static all: Sending[] = [];
  status = 0;
  response: unknown = null;
  responseType = '';
  url = '';
  file: File | null = null;
  readonly upload: { onprogress: ((event: { loaded: number; total: number }) => void) | null } = {
    onprogress: null,
  };
  onload: (() => void) | null = null;
  onerror: (() => void) | null = null;
  onabort: (() => void) | null = null;

  open(_: string, url: string): void {
    this.url = url;
  }
  setRequestHeader(): void {}
  send(file: File): void {
    this.file = file;
    Sending.all.push(this);
  }
  abort(): void {
    this.onabort?.();
  }
  arrives(share: number): void {
    act(() => this.upload.onprogress?.({ loaded: share * 100, total: 100 }));
  }
  answers(status: number, response: unknown): void {
    act(() => {
      Object.assign(this, { status, response });
      this.onload?.();
    });
  }
  breaks(): void {
    act(() => this.onerror?.());
  }
}
const sendingOf = async (name: string, nth = 0): Promise<Sending> => {
  const found = () => Sending.all.filter(({ file }) => file?.name === name)[nth];
  await waitFor(() => expect(found()).toBeTruthy(), { timeout: 4000 });
  return found() as Sending;
};
const added = (material: string, duplicate = false) => ({ ...patchOf(), material, duplicate });

let materials: string[] | null = null;
function Room() {
  const { add } = useUploads();
  return (
    <>
      {[1, 2, 6].map((count) => (
        <button
          key={count}
          type="button"
          onClick={() => {
            const files = Array.from({ length: count }, (_, n) => new File(['x'], `${n + 1}.jpg`));
            void add(files, count === 1 ? '2026-01-05' : undefined).then((made) => (materials = made));
          }}
        >
          Add {count}
        </button>
      ))}
      <UploadList />
    </>
  );
}
async function room(count: 1 | 2 | 6, answer?: Parameters<typeof openSite>[1]) {
  const { user, asked } = await openSite(
    <UploadsProvider>
      <Room />
    </UploadsProvider>,
    answer,
  );
  await user.click(screen.getByRole('button', { name: `Add ${count}` }));
  return { user, asked, list: within(await screen.findByRole('region', { name: 'Files being added' })) };
}
const summary = () => screen.getByRole('status').textContent;

beforeEach(() => {
  Sending.all = [];
  materials = null;
  globalThis.XMLHttpRequest = Sending as unknown as typeof XMLHttpRequest;
});

describe('files being added', () => {
  test('each says how far it is, then that it is read, then that it was added; their materials come in order', async () => {
    const { list } = await room(2);
    const [one, two] = [await sendingOf('1.jpg'), await sendingOf('2.jpg')];
    expect(summary()).toBe('Adding 2 files: 0 of 2');
    one.arrives(0.4);
    expect(list.getByText('40 % of it has arrived')).toBeTruthy();
    one.arrives(1);
    expect(list.getByText('being read')).toBeTruthy();
    two.answers(200, added('picture-2'));
    await waitFor(() => expect(summary()).toBe('Adding 2 files: 1 of 2'));
    one.answers(200, added('picture-1'));
    await waitFor(() => expect(summary()).toBe('2 added'));
    expect(materials).toEqual(['picture-1', 'picture-2']);
  });

  test('the day something was made is sent with it, and its name', async () => {
    await room(1);
    expect((await sendingOf('1.jpg')).url).toMatch(
      /^\/api\/sites\/site-0001\/materials\?name=1\.jpg&upload=[\w-]{36}&madeOn=2026-01-05$/,
    );
  });

  test('one that is refused keeps its sentence and can be tried again; the others are not held up', async () => {
    const { user, list } = await room(2);
    (await sendingOf('1.jpg')).answers(415, { code: 'kind', message: 'This is no picture.' });
    (await sendingOf('2.jpg')).answers(200, added('picture-2'));
    await waitFor(() => expect(summary()).toBe('1 added, 1 not added'));
    expect(list.getByText('This is no picture.')).toBeTruthy();
    expect(materials).toEqual(['picture-2']);
    await user.click(list.getByRole('button', { name: 'Try 1.jpg again' }));
    (await sendingOf('1.jpg', 1)).answers(200, added('picture-1'));
    await waitFor(() => expect(summary()).toBe('2 added'));
  });

  test('what was not added stands first once nothing is on its way, and not before', async () => {
    const { list } = await room(2);
    const order = () => list.getAllByText(/\.jpg$/).map(({ textContent }) => textContent);
    (await sendingOf('2.jpg')).answers(415, { code: 'kind', message: 'This is no picture.' });
    await waitFor(() => expect(list.getByText('This is no picture.')).toBeTruthy());
    expect(order()).toEqual(['1.jpg', '2.jpg']);
    (await sendingOf('1.jpg')).answers(200, added('picture-1'));
    await waitFor(() => expect(summary()).toBe('1 added, 1 not added'));
    expect(order()).toEqual(['2.jpg', '1.jpg']);
  });

  test('what its maker has already says so and is not called an error', async () => {
    const { list } = await room(1);
    (await sendingOf('1.jpg')).answers(200, added('picture-1', true));
    await waitFor(() => expect(summary()).toBe('0 added, 1 here already'));
    expect(list.getByText(/you have this already/)).toBeTruthy();
    expect(materials).toEqual(['picture-1']);
  });

  test.each([
    ['stopped', 'Stopped. Nothing of it was stored.', '1 added, 1 not added'],
    ['not-there', 'Stopped. Nothing of it was stored.', '1 added, 1 not added'],
    ['stored', 'It was stored before it could be stopped.', '2 added'],
    ['no line', 'Stopped. Should it stand in Gather after all, delete it there.', '1 added, 1 not added'],
  ])('one that is stopped and was %s says so: %s', async (was, words, all) => {
    const { user, list, asked } = await room(2, ({ path }) =>
      !path.endsWith('/stop') ? { body: patchOf() } : was === 'no line' ? was : { body: { was } },
    );
    const one = await sendingOf('1.jpg');
    one.arrives(1);
    await user.click(list.getByRole('button', { name: 'Stop 1.jpg' }));
    expect(await list.findByText(words)).toBeTruthy();
    const { upload } = Object.fromEntries(new URLSearchParams(one.url.split('?')[1]));
    expect(asked.map(({ path }) => path)).toContain(`/api/sites/site-0001/uploads/${upload}/stop`);
    (await sendingOf('2.jpg')).answers(200, added('picture-2'));
    await waitFor(() => expect(summary()).toBe(all));
  });

  test('one that waits its turn is stopped at once, whatever holds up those before it, and holds up none after it', async () => {
    const { user, list, asked } = await room(6);
    await sendingOf('4.jpg');
    await user.click(list.getByRole('button', { name: 'Stop 5.jpg' }));
    expect(await list.findByText('Stopped. Nothing of it was stored.')).toBeTruthy();
    Sending.all[0]?.answers(200, added('picture-1'));
    await sendingOf('6.jpg');
    expect(Sending.all.map(({ file }) => file?.name)).not.toContain('5.jpg');
    expect(asked.some(({ path }) => path.endsWith('/stop'))).toBe(false);
  });

  test('four are sent at a time; the next goes when one is through', async () => {
    await room(6);
    await sendingOf('4.jpg');
    expect(Sending.all.map(({ file }) => file?.name)).toEqual(['1.jpg', '2.jpg', '3.jpg', '4.jpg']);
    Sending.all[2]?.answers(200, added('picture-3'));
    await sendingOf('5.jpg');
    expect(Sending.all).toHaveLength(5);
  });

  test('a line that breaks is tried three times by itself, then it says so', async () => {
    const { list } = await room(1);
    for (const nth of [0, 1, 2]) (await sendingOf('1.jpg', nth)).breaks();
    expect(await list.findByText(/The line broke before the whole file had arrived/)).toBeTruthy();
    expect(Sending.all).toHaveLength(3);
  });

  test('the list is put away when all is through', async () => {
    const { user, list } = await room(1);
    expect(list.queryByRole('button', { name: 'Put this list away' })).toBeNull();
    (await sendingOf('1.jpg')).answers(200, added('picture-1'));
    await user.click(await list.findByRole('button', { name: 'Put this list away' }));
    expect(screen.queryByRole('region', { name: 'Files being added' })).toBeNull();
  });

  test('leaving the page in the middle of it is asked about by the browser, and no longer once it is through', async () => {
    const leave = () => {
      const event = new Event('beforeunload', { cancelable: true });
      window.dispatchEvent(event);
      return event.defaultPrevented;
    };
    await room(1);
    const one = await sendingOf('1.jpg');
    expect(leave()).toBe(true);
    one.answers(200, added('picture-1'));
    await waitFor(() => expect(summary()).toBe('1 added'));
    expect(leave()).toBe(false);
  });
});
