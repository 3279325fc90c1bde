/** @jest-environment ./build/document.jest.js */
import { beforeAll, describe, expect, test } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { EffectiveHeight } from '#core/access/effective-height.ts';
import type { Height } from '#core/access/height.ts';
import { standInForBrowser } from '../testing/browser-stand-ins.ts';
import { HeightChip, HeightRow } from './height-control.tsx';

beforeAll(standInForBrowser);

const free: EffectiveHeight = { chosen: 'unlisted', height: 'unlisted', heldBy: null };
const held: EffectiveHeight = {
  chosen: 'public',
  height: 'invited',
  heldBy: { kind: 'page', id: 'page-0001', title: 'Tide clock' },
};

describe('the height of a page', () => {
  test('is told in words, with what holds it below what was chosen', () => {
    render(<HeightRow effective={held} of="Words" onChange={() => {}} />);
    expect(screen.getByRole('button').textContent).toBe(
      'Height of Words: Invitedheld there by Tide clock; will be Public once Tide clock is',
    );
    render(<HeightChip effective={held} />);
    expect(screen.getByText(/held by Tide clock/)).toBeTruthy();
  });

  test.each<[NonNullable<EffectiveHeight['heldBy']>['kind'], string]>([
    ['site', 'held there by the site; will be Public once the site is'],
    ['put-away', 'held there by being put away; will be Public once it is hung up'],
  ])('held by the %s it says so', (kind, sentence) => {
    const heldBy = { kind, id: 'thing-001', title: 'Not said' };
    render(<HeightRow effective={{ ...held, heldBy }} of="Words" onChange={() => {}} />);
    expect(screen.getByText(sentence)).toBeTruthy();
  });

  test('opens from the keyboard, with what is chosen marked, and another one is taken by Enter', async () => {
    const user = userEvent.setup();
    const chosen: Height[] = [];
    render(<HeightRow effective={free} of="Tide clock" onChange={(height) => chosen.push(height)} />);
    await user.tab();
    await user.keyboard('{Enter}');
    const marked = await screen.findByRole('menuitemradio', { checked: true });
    expect(marked.textContent).toContain('Unlisted');
    await user.keyboard('{ArrowDown}{ArrowDown}{ArrowDown}{Enter}');
    expect(chosen).toEqual(['private']);
    expect(screen.queryByRole('menu')).toBeNull();
    expect(document.activeElement).toBe(screen.getByRole('button'));
  });

  test('Escape leaves it as it was', async () => {
    const user = userEvent.setup();
    const chosen: Height[] = [];
    render(<HeightRow effective={free} of="Tide clock" onChange={(height) => chosen.push(height)} />);
    await user.tab();
    await user.keyboard('{Enter}{ArrowDown}{Escape}');
    expect(chosen).toEqual([]);
  });

  test('says of each height above what holds it that it waits, and for what', async () => {
    const user = userEvent.setup();
    render(<HeightRow effective={held} of="Words" onChange={() => {}} />);
    await user.tab();
    await user.keyboard('{Enter}');
    const words = (await screen.findAllByRole('menuitemradio')).map((one) => one.textContent);
    expect(words).toEqual([
      'Publicwaits until Tide clock is Public',
      'Unlistedwaits until Tide clock is Unlisted',
      'Invitedpeople holding a pass',
      'Privateonly you; whoever holds a pass loses it at once',
    ]);
  });
});
