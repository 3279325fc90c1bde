/** @jest-environment ./build/document.jest.js */
import { afterEach, expect, test } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { CopyLink } from './copy-link.tsx';

const device = navigator as { share?: unknown };
afterEach(() => {
  delete device.share;
});

test('a device that can pass links on is offered to, with the link in full', async () => {
  const passed: unknown[] = [];
  device.share = (what: unknown) => {
    passed.push(what);
    return Promise.reject(new Error('left'));
  };
  render(<CopyLink path="/wren-makes/" label="Public address" />);
  await userEvent.click(screen.getByRole('button', { name: 'Pass on: Public address' }));
  expect(passed).toEqual([{ url: `${window.location.origin}/wren-makes/` }]);
});

test('one that cannot is not', () => {
  render(<CopyLink path="/wren-makes/" label="Public address" />);
  expect(screen.queryByRole('button', { name: /Pass on/ })).toBeNull();
});
