/** @jest-environment ./build/document.jest.js */
import { beforeAll, describe, expect, jest, test } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Copy, Trash2 } from 'lucide-react';
import { standInForBrowser } from '../testing/browser-stand-ins.ts';
import { Menu, MenuChoice, MenuChoices, MenuItem, MenuLink } from './menu.tsx';

const opener = <button type="button">More</button>;

beforeAll(standInForBrowser);

describe('a menu', () => {
  test('opens by keyboard, does what was chosen, and gives the focus back', async () => {
    const user = userEvent.setup();
    const onCopy = jest.fn();
    render(
      <Menu opener={opener}>
        <MenuItem icon={Copy} name="Copy" note="Private at first" onSelect={onCopy} />
        <MenuItem icon={Trash2} name="Delete" disabled onSelect={onCopy} />
        <MenuLink icon={Copy} name="See it" href="/see/" />
      </Menu>,
    );
    screen.getByRole('button', { name: 'More' }).focus();
    await user.keyboard('{Enter}');
    expect(screen.getByRole('menuitem', { name: /^Delete/ }).getAttribute('aria-disabled')).toBe('true');
    const link = screen.getByRole('menuitem', { name: /^See it/ });
    expect([link.getAttribute('href'), link.getAttribute('target')]).toEqual(['/see/', '_blank']);
    await user.click(screen.getByRole('menuitem', { name: /^Copy/ }));
    expect(onCopy).toHaveBeenCalledTimes(1);
    expect(screen.queryByRole('menu')).toBeNull();
    expect(document.activeElement).toBe(screen.getByRole('button', { name: 'More' }));
  });

  test('says which of several is chosen, and hands on another choice', async () => {
    const user = userEvent.setup();
    const onChange = jest.fn();
    render(
      <Menu opener={opener}>
        <MenuChoices label="Height" value="low" onChange={onChange}>
          <MenuChoice value="low" sign={null} name="Private" note="only you" />
          <MenuChoice value="high" sign={null} name="Public" note="everyone" />
        </MenuChoices>
      </Menu>,
    );
    await user.click(screen.getByRole('button', { name: 'More' }));
    const checked = () => screen.getAllByRole('menuitemradio').map((one) => one.getAttribute('aria-checked'));
    expect(checked()).toEqual(['true', 'false']);
    await user.click(screen.getByRole('menuitemradio', { name: /^Public/ }));
    expect(onChange).toHaveBeenCalledWith('high');
  });
});
