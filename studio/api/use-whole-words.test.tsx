/** @jest-environment ./build/document.jest.js */
import { expect, test } from '@jest/globals';
import { act, screen } from '@testing-library/react';
import { sampleSound } from '#core/materials/sample-sound.ts';
import { emptySite, openSite } from '../testing/open-site.tsx';
import { useSite } from './site-context.tsx';
import { useWholeWords } from './use-whole-words.ts';

const state = {
  ...emptySite,
  materials: [sampleSound('sound-001', { transcript: 'Once' })],
  begun: ['sound-001'],
};

function Said() {
  const { state: site, refresh } = useSite();
  const { whole, error, again } = useWholeWords(['sound-001']);
  return (
    <>
      <p>{whole ? site.materials[0]?.transcript : 'on the way'}</p>
      {error && <p role="alert">{error.message}</p>}
      <button type="button" onClick={again}>
        Again
      </button>
      <button type="button" onClick={() => void refresh()}>
        Refresh
      </button>
    </>
  );
}

test('long words are fetched when they are shown, and stay whole when the site is fetched again', async () => {
  const { asked, user } = await openSite(
    <Said />,
    () => ({ body: { words: { 'sound-001': 'Once upon a tide' } } }),
    state,
  );
  await screen.findByText('Once upon a tide');
  expect(asked).toEqual([
    { method: 'POST', path: '/api/sites/site-0001/materials/words', body: { materials: ['sound-001'] } },
  ]);
  const seen: (string | null)[] = [];
  const watch = new MutationObserver(() => seen.push(document.querySelector('p + p')?.textContent ?? null));
  watch.observe(document.body, { childList: true, subtree: true, characterData: true });
  await user.click(screen.getByRole('button', { name: 'Refresh' }));
  await act(async () => Promise.resolve());
  expect(asked).toHaveLength(2);
  expect(seen).not.toContain('on the way');
  expect(screen.getByText('Once upon a tide')).toBeTruthy();
  watch.disconnect();
});

test('words that do not come can be asked for again', async () => {
  let line = false;
  const { user } = await openSite(
    <Said />,
    () => (line ? { body: { words: { 'sound-001': 'Once upon a tide' } } } : 'no line'),
    state,
  );
  await screen.findByRole('alert');
  expect(screen.getByText('on the way')).toBeTruthy();
  line = true;
  await user.click(screen.getByRole('button', { name: 'Again' }));
  await screen.findByText('Once upon a tide');
  expect(screen.queryByRole('alert')).toBeNull();
});
