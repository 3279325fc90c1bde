/** @jest-environment ./build/document.jest.js */
import { describe, expect, test } from '@jest/globals';
import { act, screen, waitFor, within } from '@testing-library/react';
import type { SiteState } from '#contract/site-state.ts';
import { useSite } from '../api/site-context.tsx';
import { type Asked, emptySite, openSite, patchOf } from '../testing/open-site.tsx';
import { SaveWords } from './save-words.tsx';

/** The name of the site as it stands on the screen, and a field that changes it. */
function Name() {
  const { state, changeSite } = useSite();
  return (
    <>
      <label>
        Name
        <input
          value={state.site.title}
          onChange={(event) => changeSite({ title: event.target.value }, 'Name of the site')}
        />
      </label>
      <SaveWords />
    </>
  );
}
const field = () => screen.getByLabelText<HTMLInputElement>('Name');
const saved = (title: string) => ({
  body: { ...patchOf({ site: { ...emptySite.site, title } }), joined: false },
});
const titleIn = (asked: Asked | undefined) => (asked?.body as { change: { title: string } }).change.title;

describe('the words about saving', () => {
  test('say that all is saved, then that it is being saved, then when it was', async () => {
    let go = () => {};
    const held = new Promise<void>((resolve) => (go = resolve));
    const { user, asked } = await openSite(<Name />, async (one) => (await held, saved(titleIn(one))));
    expect(screen.getByRole('status').textContent).toBe('All saved');
    await user.type(field(), '.');
    expect(screen.getByRole('status').textContent).toBe('Saving…');
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(screen.getByRole('status').textContent).toBe('Saving…');
    go();
    await waitFor(() => expect(screen.getByRole('status').textContent).toMatch(/^Saved \d/));
    expect(asked[0]?.body).toMatchObject({
      seen: 5,
      change: { title: 'Wren makes.' },
      was: { title: 'Wren makes' },
    });
  });

  test('every letter of what is typed fast stands there, whatever has been sent meanwhile', async () => {
    const { user, asked } = await openSite(<Name />, (one) => saved(titleIn(one)));
    await user.clear(field());
    await user.type(field(), 'Kites over the harbour');
    expect(field().value).toBe('Kites over the harbour');
    await waitFor(() => expect(screen.getByRole('status').textContent).toMatch(/^Saved/), { timeout: 3000 });
    expect(titleIn(asked.at(-1))).toBe('Kites over the harbour');
  });

  test('with no line: how much is kept here; and it is sent by itself when the line is back', async () => {
    let line = false;
    const { user, asked } = await openSite(<Name />, (one) => (line ? saved(titleIn(one)) : 'no line'));
    await user.type(field(), ' more');
    await waitFor(() => expect(screen.getByRole('status').textContent).toContain('Kept on this computer'), {
      timeout: 3000,
    });
    expect(screen.getByRole('status').textContent).toContain('1 edit to send');
    expect(Object.values(window.localStorage).join()).toContain('Wren makes more');
    line = true;
    act(() => void window.dispatchEvent(new Event('online')));
    await waitFor(() => expect(screen.getByRole('status').textContent).toMatch(/^Saved/), { timeout: 3000 });
    expect(titleIn(asked.at(-1))).toBe('Wren makes more');
    expect(Object.values(window.localStorage).join()).not.toContain('more');
  });

  test('an error of the server is not the maker’s: it says so, and nothing is given up', async () => {
    let broken = true;
    const { user, asked } = await openSite(<Name />, (one) =>
      broken
        ? { status: 500, body: { code: 'error', message: 'Something went wrong here.' } }
        : saved(titleIn(one)),
    );
    await user.type(field(), '!');
    await waitFor(
      () => expect(screen.getByRole('status').textContent).toContain('The server cannot save now.'),
      { timeout: 3000 },
    );
    expect(field().value).toBe('Wren makes!');
    broken = false;
    act(() => void window.dispatchEvent(new Event('online')));
    await waitFor(() => expect(screen.getByRole('status').textContent).toMatch(/^Saved/), { timeout: 3000 });
    expect(titleIn(asked.at(-1))).toBe('Wren makes!');
  });

  test('who leaves the site with something unsent and comes back sends it once', async () => {
    let line = false;
    const { user, asked, leave, comeBack } = await openSite(<Name />, (one) =>
      line ? saved(titleIn(one)) : 'no line',
    );
    await user.type(field(), ' twice');
    await waitFor(() => expect(screen.getByRole('status').textContent).toContain('Kept on this computer'), {
      timeout: 3000,
    });
    leave();
    expect(screen.queryByLabelText('Name')).toBeNull();
    comeBack();
    expect((await screen.findByLabelText<HTMLInputElement>('Name')).value).toBe('Wren makes twice');
    const before = asked.length;
    line = true;
    act(() => void window.dispatchEvent(new Event('online')));
    await waitFor(() => expect(screen.getByRole('status').textContent).toMatch(/^Saved/), { timeout: 3000 });
    expect(asked).toHaveLength(before + 1);
  });

  const theirs = { ...emptySite.site, title: 'Theirs' };
  const newer = {
    status: 409,
    body: {
      code: 'newer',
      message: 'This was changed in another tab.',
      details: { theirs, revision: 9 },
    },
  };

  test('of two tabs that changed the same, the maker keeps theirs by saying so: it is written over the other', async () => {
    let decided = false;
    const { user, asked } = await openSite(<Name />, (one) => {
      decided ||= (one.body as { decided?: string }).decided === 'mine';
      return decided ? saved(titleIn(one)) : newer;
    });
    // At one go: letter by letter, a slow machine would send the first of them alone.
    await user.click(field());
    await user.paste(', mine');
    const look = await screen.findByRole('button', { name: 'Look at both' }, { timeout: 3000 });
    expect(screen.getByRole('alert').textContent).toContain('This was changed in another tab.');
    // What is typed while it waits for the answer is no less theirs.
    await user.type(field(), '!');
    expect(field().value).toBe('Wren makes, mine!');
    await user.click(look);
    const mine = await screen.findByRole('button', { name: 'Keep mine' });
    expect(within(screen.getByRole('dialog')).getByText('Theirs')).toBeTruthy();
    expect(within(screen.getByRole('dialog')).getByText('Wren makes, mine')).toBeTruthy();
    await user.click(mine);
    await waitFor(() => expect(screen.getByRole('status').textContent).toMatch(/^Saved/), { timeout: 3000 });
    expect(asked.some(({ body }) => (body as { decided?: string }).decided === 'mine')).toBe(true);
    expect(titleIn(asked.at(-1))).toBe('Wren makes, mine!');
  });

  test('or takes the newer one: it is on the screen, and what was typed here is sent to be kept for an undo', async () => {
    const state: SiteState = { ...emptySite, site: { ...emptySite.site } };
    const { user, asked } = await openSite(
      <Name />,
      (one) =>
        (one.body as { decided?: string }).decided === 'theirs'
          ? { body: { ...patchOf({ site: theirs }), joined: false } }
          : newer,
      state,
    );
    await user.type(field(), '?');
    await user.click(await screen.findByRole('button', { name: 'Look at both' }, { timeout: 3000 }));
    // Leaving decides nothing.
    await user.keyboard('{Escape}');
    expect(screen.queryByRole('dialog')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Look at both' }));
    Object.assign(state, { site: theirs, revision: 9 });
    await user.click(await screen.findByRole('button', { name: 'Take the newer one' }));
    await waitFor(() => expect(field().value).toBe('Theirs'), { timeout: 3000 });
    expect(asked).toHaveLength(2);
    expect(asked[1]?.body).toMatchObject({ decided: 'theirs', change: { title: 'Wren makes?' } });
  });
});
