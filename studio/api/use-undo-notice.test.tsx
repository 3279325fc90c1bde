/** @jest-environment ./build/document.jest.js */
import { expect, test } from '@jest/globals';
import { screen, waitFor } from '@testing-library/react';
import { emptySite, openSite, patchOf } from '../testing/open-site.tsx';
import { Notices } from '../ui/notices.tsx';
import { useSite } from './site-context.tsx';
import { useUndoNotice } from './use-undo-notice.ts';

/** Something that is lost, and something else that can be done before it is brought back. */
function Room() {
  const { changeSite } = useSite();
  const undoNotice = useUndoNotice();
  return (
    <>
      <button
        type="button"
        onClick={() => {
          changeSite({ title: 'Lost' }, 'Name of the site');
          undoNotice('The name is gone.');
        }}
      >
        Lose it
      </button>
      <button type="button" onClick={() => changeSite({ by: 'Wren' }, 'Name of the maker')}>
        Go on
      </button>
      <Notices />
    </>
  );
}
const open = async () => {
  let step = 10;
  const answers = await openSite(<Room />, ({ path }) => {
    step += 1;
    const history = { undo: { label: 'Name of the site', step }, redo: null };
    const patch = { ...patchOf({ site: emptySite.site }), history };
    return {
      body: path.endsWith('/undo')
        ? { ...patch, label: 'Name', takenOut: false }
        : { ...patch, joined: false },
    };
  });
  const undone = () => answers.asked.filter(({ path }) => path.endsWith('/undo'));
  return { ...answers, undone };
};

test('what is lost is brought back by the button beside the words that say so', async () => {
  const { user, undone } = await open();
  await user.click(screen.getByRole('button', { name: 'Lose it' }));
  await user.click(await screen.findByRole('button', { name: 'Undo' }));
  await waitFor(() => expect(undone()).toHaveLength(1));
  expect(undone()[0]?.body).toMatchObject({ step: 11 });
});

test('once something else was done it takes nothing back, and says why', async () => {
  const { user, undone } = await open();
  await user.click(screen.getByRole('button', { name: 'Lose it' }));
  // The newest is the first; that of the test before is on its way out.
  await screen.findAllByText('The name is gone.');
  const [undo] = await screen.findAllByRole('button', { name: 'Undo' });
  if (!undo) throw new Error('no button');
  await user.click(screen.getByRole('button', { name: 'Go on' }));
  await user.click(undo);
  expect(await screen.findByText(/Something else was done since/)).toBeTruthy();
  expect(undone()).toHaveLength(0);
});
