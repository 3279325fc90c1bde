/** @jest-environment ./build/document.jest.js */
import { describe, expect, jest, test } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useRef, useState } from 'react';
import { standInForBrowser } from '../testing/browser-stand-ins.ts';
import { Button } from './button.tsx';
import { IconButton } from './icon-button.tsx';
import { Popover, PopoverAt } from './popover.tsx';
import { Select, SelectField } from './select.tsx';
import { SideSheet } from './side-sheet.tsx';
import { TabList, TabPanel, Tabs } from './tabs.tsx';

describe('buttons', () => {
  test('do not send the form they stand in, unless they say so', async () => {
    const send = jest.fn((event: { preventDefault: () => void }) => event.preventDefault());
    render(
      <form onSubmit={send}>
        <Button>Look</Button>
        <IconButton label="Close">x</IconButton>
        <Button type="submit" look="go">
          Send
        </Button>
      </form>,
    );
    const user = userEvent.setup();
    await user.click(screen.getByRole('button', { name: 'Look' }));
    await user.click(screen.getByRole('button', { name: 'Close' }));
    expect(send).not.toHaveBeenCalled();
    await user.click(screen.getByRole('button', { name: 'Send' }));
    expect(send).toHaveBeenCalledTimes(1);
  });

  test('that are links stay links', () => {
    render(
      <Button asChild className="ml-auto">
        <a href="/studio">Studio</a>
      </Button>,
    );
    const link = screen.getByRole('link', { name: 'Studio' });
    expect(link.getAttribute('href')).toBe('/studio');
    expect(link.className).toContain('ml-auto');
    expect(screen.queryByRole('button')).toBeNull();
  });
});

describe('a list to choose from', () => {
  const options = [
    { value: 'newest', name: 'Newest first' },
    { value: 'title', name: 'By title' },
    { value: 'mixed', name: 'As it is for each', disabled: true },
  ] as const;

  test('tells the value of what was chosen, by its name or by the name above it', async () => {
    const chosen = jest.fn<(value: string) => void>();
    render(
      <>
        <Select label="Order" value="newest" options={options} onChange={chosen} />
        <SelectField
          name="Licence"
          hint="what others may do"
          value="newest"
          options={options}
          onChange={chosen}
        />
      </>,
    );
    const user = userEvent.setup();
    await user.selectOptions(screen.getByRole('combobox', { name: 'Order' }), 'By title');
    await user.selectOptions(screen.getByRole('combobox', { name: /^Licence/ }), 'By title');
    expect(chosen.mock.calls).toEqual([['title'], ['title']]);
  });
});

test('tabs are walked with the arrow keys and show one face', async () => {
  function Fixes() {
    const [open, setOpen] = useState('frame');
    return (
      <Tabs value={open} onChange={setOpen}>
        <TabList
          label="Kinds of fixes"
          tabs={[
            { key: 'frame', name: 'Frame' },
            { key: 'light', name: 'Light' },
          ]}
        />
        <TabPanel of="frame">Crop it.</TabPanel>
        <TabPanel of="light">Brighten it.</TabPanel>
      </Tabs>
    );
  }
  render(<Fixes />);
  const user = userEvent.setup();
  expect(screen.getByRole('tabpanel', { name: 'Frame' }).textContent).toBe('Crop it.');
  await user.click(screen.getByRole('tab', { name: 'Frame' }));
  await user.keyboard('{ArrowRight}');
  expect(screen.getByRole('tabpanel', { name: 'Light' }).textContent).toBe('Brighten it.');
  expect(screen.queryByText('Crop it.')).toBeNull();
});

test('a popover opens beside its button, is named, and gives the focus back with Escape', async () => {
  standInForBrowser();
  render(
    <Popover label="What waits" opener={<button type="button">1 edit waiting</button>}>
      <p>Readers do not see this yet</p>
    </Popover>,
  );
  const user = userEvent.setup();
  const opener = screen.getByRole('button', { name: '1 edit waiting' });
  await user.click(opener);
  expect(screen.getByRole('dialog', { name: 'What waits' }).textContent).toContain('Readers do not see');
  await user.keyboard('{Escape}');
  expect(screen.queryByRole('dialog')).toBeNull();
  expect(document.activeElement).toBe(opener);
});

test('a popover beside a button of somebody else is closed by that button, too', async () => {
  standInForBrowser();
  function Beside() {
    const [open, setOpen] = useState(false);
    const button = useRef<HTMLButtonElement>(null);
    return (
      <>
        <button ref={button} type="button" onClick={() => setOpen(!open)}>
          1 edit waiting
        </button>
        <input aria-label="Title" />
        {open && (
          <PopoverAt label="What waits" anchor={button} onClose={() => setOpen(false)}>
            <p>Readers do not see this yet</p>
          </PopoverAt>
        )}
      </>
    );
  }
  render(<Beside />);
  const user = userEvent.setup();
  const opener = screen.getByRole('button', { name: '1 edit waiting' });
  await user.click(opener);
  expect(screen.getByRole('dialog', { name: 'What waits' })).toBeDefined();
  await user.click(opener);
  expect(screen.queryByRole('dialog')).toBeNull();
  await user.click(opener);
  await user.keyboard('{Escape}');
  expect(screen.queryByRole('dialog')).toBeNull();
  expect(document.activeElement).toBe(opener);
  await user.click(opener);
  const title = screen.getByRole('textbox', { name: 'Title' });
  await user.click(title);
  expect(screen.queryByRole('dialog')).toBeNull();
  // What closing does comes a turn later.
  await new Promise((resolve) => setTimeout(resolve, 5));
  expect(document.activeElement).toBe(title);
});

test('what stands beside a room is there, and as a sheet only once it is opened', () => {
  const sheet = (open: boolean) => (
    <SideSheet at="compact" open={open} aria-label="Facts">
      <p>When</p>
    </SideSheet>
  );
  const { rerender } = render(sheet(false));
  const side = screen.getByRole('complementary', { name: 'Facts' });
  expect(side.className).toContain('compact:hidden');
  rerender(sheet(true));
  expect(side.className).not.toContain('compact:hidden');
  expect(side.className).toContain('compact:fixed');
});
