/** @jest-environment ./build/document.jest.js */
import { beforeAll, describe, expect, test } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { standInForBrowser } from '../testing/browser-stand-ins.ts';
import { AskDialog } from './ask-dialog.tsx';

beforeAll(standInForBrowser);

function opened() {
  const answered: string[] = [];
  function Room() {
    const [open, setOpen] = useState(false);
    return (
      <>
        <button type="button" onClick={() => setOpen(true)}>
          Delete
        </button>
        <AskDialog
          open={open}
          title="Delete Tide clock?"
          leave="Keep it"
          answers={[
            { name: 'Delete it', run: () => answered.push('delete') },
            { name: 'Delete for readers now', run: () => answered.push('now') },
          ]}
          onClose={() => setOpen(false)}
        >
          <p>Readers can see it now.</p>
        </AskDialog>
      </>
    );
  }
  render(<Room />);
  return { answered, user: userEvent.setup() };
}

describe('a question', () => {
  test('is told as one: its title and its sentence are its name and description', async () => {
    const { user } = opened();
    await user.click(screen.getByRole('button', { name: 'Delete' }));
    const dialog = screen.getByRole('alertdialog', { name: 'Delete Tide clock?' });
    const described = document.getElementById(dialog.getAttribute('aria-describedby') ?? '');
    expect(described?.textContent).toBe('Readers can see it now.');
  });

  test('keeps the focus inside while it is open, in the order of its answers', async () => {
    const { user } = opened();
    await user.click(screen.getByRole('button', { name: 'Delete' }));
    const names: (string | null)[] = [];
    for (let n = 0; n < 4; n++) {
      names.push((document.activeElement as HTMLElement).textContent);
      await user.tab();
    }
    expect(names).toEqual(['Keep it', 'Delete it', 'Delete for readers now', 'Keep it']);
  });

  test.each([
    ['Keep it', []],
    ['Delete it', ['delete']],
    ['Delete for readers now', ['now']],
  ])('%s answers it once, and the focus goes back', async (name, expected) => {
    const { user, answered } = opened();
    await user.click(screen.getByRole('button', { name: 'Delete' }));
    await user.click(screen.getByRole('button', { name }));
    expect(answered).toEqual(expected);
    expect(screen.queryByRole('alertdialog')).toBeNull();
    expect(document.activeElement?.textContent).toBe('Delete');
  });

  test('Escape changes nothing', async () => {
    const { user, answered } = opened();
    await user.click(screen.getByRole('button', { name: 'Delete' }));
    await user.keyboard('{Escape}');
    expect([answered, screen.queryByRole('alertdialog')]).toEqual([[], null]);
  });
});
