/** @jest-environment ./build/document.jest.js */
import { describe, expect, test } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import type { Height } from '#core/access/height.ts';
import { HeightGauge } from './height-gauge.tsx';

/** The gauge of a site, with every height that was applied. */
function opened(first: Height) {
  const applied: Height[] = [];
  function Site() {
    const [height, setHeight] = useState(first);
    return (
      <HeightGauge
        height={height}
        onChange={(wanted) => {
          applied.push(wanted);
          setHeight(wanted);
        }}
      />
    );
  }
  render(<Site />);
  return { applied, user: userEvent.setup() };
}
const chosen = () =>
  screen.getAllByRole<HTMLButtonElement>('radio').find((one) => one.getAttribute('aria-checked') === 'true')
    ?.value;
const focused = () => (document.activeElement as HTMLButtonElement).value;

describe('the ladder of heights', () => {
  test('is one stop for the keyboard, at what is chosen', async () => {
    const { user } = opened('unlisted');
    await user.tab();
    expect(focused()).toBe('unlisted');
    await user.tab();
    expect(document.activeElement).toBe(document.body);
  });

  test('arrow keys choose, stop at both ends and apply nothing, however many are pressed', async () => {
    const { user, applied } = opened('private');
    await user.tab();
    await user.keyboard('{ArrowDown}{ArrowRight}');
    expect([focused(), chosen()]).toEqual(['private', 'private']);
    await user.keyboard('{ArrowUp}{ArrowLeft}{ArrowUp}{ArrowUp}{ArrowUp}');
    expect([focused(), chosen()]).toEqual(['public', 'public']);
    expect(applied).toEqual([]);
  });

  test('raising is applied by the button that names it and says what it will do, and by nothing else', async () => {
    const { user, applied } = opened('private');
    await user.click(screen.getByRole('radio', { name: /^Public/ }));
    expect(applied).toEqual([]);
    expect(screen.getByRole('status').textContent).toContain(
      'The site is Private now. With your next publish, everybody can open it.',
    );
    await user.keyboard(' ');
    expect(applied).toEqual([]);
    await user.click(screen.getByRole('button', { name: 'Raise it to Public' }));
    expect(applied).toEqual(['public']);
    expect(focused()).toBe('public');
    expect(screen.queryByRole('status')).toBeNull();
  });

  test('lowering works at once by a click, and by Space after the arrow keys', async () => {
    const { user, applied } = opened('public');
    await user.click(screen.getByRole('radio', { name: /^Unlisted/ }));
    expect(applied).toEqual(['unlisted']);
    await user.keyboard('{ArrowDown}{ArrowDown}');
    expect(applied).toEqual(['unlisted']);
    expect(screen.getByRole('button', { name: 'Lower it to Private now' })).toBeTruthy();
    await user.keyboard(' ');
    expect(applied).toEqual(['unlisted', 'private']);
  });

  test('what was chosen can be left as it was, and the focus stays on it', async () => {
    const { user, applied } = opened('unlisted');
    await user.click(screen.getByRole('radio', { name: /^Public/ }));
    await user.click(screen.getByRole('button', { name: 'Keep Unlisted' }));
    expect([applied, chosen(), focused()]).toEqual([[], 'unlisted', 'unlisted']);
  });

  test('to people who hear it, what is now is told from what is chosen', async () => {
    const { user } = opened('unlisted');
    await user.tab();
    await user.keyboard('{ArrowUp}');
    expect(screen.getByRole('radio', { checked: true }).textContent).toMatch(/^Public/);
    expect(screen.getByRole('radio', { name: /Unlisted \(as it is now\)/ })).toBeTruthy();
  });
});
