/** @jest-environment ./build/document.jest.js */
import { describe, expect, jest, test } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { Dialog } from './dialog.tsx';

describe('a dialog', () => {
  test('has a name and a description, and is left by its cross and by Escape', async () => {
    const user = userEvent.setup();
    const onClose = jest.fn();
    render(
      <Dialog title="Keys" description="All of them." onClose={onClose}>
        <p>Ctrl K</p>
      </Dialog>,
    );
    const dialog = screen.getByRole('dialog', { name: 'Keys' });
    const described = document.getElementById(dialog.getAttribute('aria-describedby') ?? '');
    expect(described?.textContent).toBe('All of them.');
    await user.click(screen.getByRole('button', { name: 'Close' }));
    await user.keyboard('{Escape}');
    expect(onClose).toHaveBeenCalledTimes(2);
  });

  test('without a description names none, and its cross is shut while it is busy', () => {
    render(
      <Dialog title="Publish" busy onClose={() => {}}>
        <p>Writing pages</p>
      </Dialog>,
    );
    expect(screen.getByRole('dialog').getAttribute('aria-describedby')).toBeNull();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Close' }).disabled).toBe(true);
  });

  test('gives the focus back to what opened it', async () => {
    const user = userEvent.setup();
    function Opened() {
      const [open, setOpen] = useState(false);
      return (
        <Dialog
          title="Cover"
          open={open}
          onOpen={() => setOpen(true)}
          onClose={() => setOpen(false)}
          opener={<button type="button">Choose</button>}
        >
          <button type="button">One</button>
        </Dialog>
      );
    }
    render(<Opened />);
    const opener = screen.getByRole('button', { name: 'Choose' });
    await user.click(opener);
    expect(screen.getByRole('dialog', { name: 'Cover' }).contains(document.activeElement)).toBe(true);
    await user.keyboard('{Escape}');
    expect(screen.queryByRole('dialog')).toBeNull();
    expect(document.activeElement).toBe(opener);
  });
});
