/** @jest-environment ./build/document.jest.js */
import { describe, expect, test } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { DateField } from './date-field.tsx';
import { TagField } from './tag-field.tsx';
import { TextField } from './text-field.tsx';
import { WebAddressField } from './web-address-field.tsx';

const field = (name: RegExp) => screen.getByRole<HTMLInputElement>('textbox', { name });
/** What stands beside a field for people who hear it. */
const saidOf = (input: HTMLElement) =>
  document.getElementById(input.getAttribute('aria-describedby') ?? 'nothing')?.textContent;

describe('a date', () => {
  function opened(first: string | null = null) {
    const kept: (string | null)[] = [];
    function Shown() {
      const [value, setValue] = useState(first);
      return (
        <DateField
          value={value}
          onChange={(date) => {
            kept.push(date);
            setValue(date);
          }}
        />
      );
    }
    render(<Shown />);
    return { kept, user: userEvent.setup() };
  }

  test.each([
    ['13 November 2025', '2025-11-13', '13 November 2025'],
    ['Nov 2025', '2025-11', 'November 2025'],
    ['2025', '2025', '2025'],
  ])('typed as %s it is kept as exactly as it is known', async (typed, date, shown) => {
    const { user, kept } = opened();
    await user.type(field(/^Taken on/), `${typed}{Enter}`);
    expect(kept).toEqual([date]);
    expect(field(/^Taken on/).value).toBe(shown);
  });

  test('that cannot be read stays in the field, says what to write, and changes nothing', async () => {
    const { user, kept } = opened('2025');
    await user.clear(field(/^Taken on/));
    await user.type(field(/^Taken on/), 'soon');
    await user.tab();
    expect([field(/^Taken on/).value, kept]).toEqual(['soon', []]);
    expect(field(/^Taken on/).getAttribute('aria-invalid')).toBe('true');
    expect(saidOf(field(/^Taken on/))).toContain('Write a day, a month or a year');
    await user.clear(field(/^Taken on/));
    await user.type(field(/^Taken on/), 'May 2024{Enter}');
    expect(kept).toEqual(['2024-05']);
    expect(screen.queryByRole('alert')).toBeNull();
  });

  test('is taken away by emptying the field; going through it changes nothing', async () => {
    const { user, kept } = opened('2025-11-13');
    await user.tab();
    await user.tab();
    expect(kept).toEqual([]);
    await user.clear(field(/^Taken on/));
    await user.tab();
    expect(kept).toEqual([null]);
  });
});

describe('tags', () => {
  function opened(first: string[] = []) {
    const kept: string[][] = [];
    function Shown() {
      const [tags, setTags] = useState(first);
      return (
        <TagField
          tags={tags}
          onChange={(now) => {
            kept.push(now);
            setTags(now);
          }}
        />
      );
    }
    render(<Shown />);
    return { kept, user: userEvent.setup() };
  }

  test('are added by Enter, by a comma and by leaving the field; the same one twice is one', async () => {
    const { user, kept } = opened();
    await user.type(field(/^Tags/), 'sail{Enter}');
    await user.type(field(/^Tags/), 'oak,');
    await user.type(field(/^Tags/), 'sail{Enter}');
    await user.type(field(/^Tags/), 'brass');
    await user.tab();
    expect(kept.at(-1)).toEqual(['sail', 'oak', 'brass']);
    expect(field(/^Tags/).value).toBe('');
  });

  test('Enter in the field sends no form around it', async () => {
    let sent = 0;
    render(
      <form
        onSubmit={(event) => {
          event.preventDefault();
          sent++;
        }}
      >
        <TagField tags={[]} onChange={() => {}} />
      </form>,
    );
    await userEvent.setup().type(field(/^Tags/), 'sail{Enter}');
    expect(sent).toBe(0);
  });

  test('are taken off one by one, each by a button that names it', async () => {
    const { user, kept } = opened(['sail', 'oak']);
    await user.click(screen.getByRole('button', { name: 'Take off the tag sail' }));
    expect(kept).toEqual([['oak']]);
  });
});

describe('a web address', () => {
  function opened(value = '') {
    const kept: string[] = [];
    render(
      <WebAddressField
        label="Where it is"
        hint=""
        value={value}
        onChange={(address) => kept.push(address)}
      />,
    );
    return { kept, user: userEvent.setup() };
  }

  test('without its beginning gets one', async () => {
    const { user, kept } = opened();
    await user.type(field(/^Where it is/), 'kite.example/run{Enter}');
    expect(kept).toEqual(['https://kite.example/run']);
    expect(field(/^Where it is/).value).toBe('https://kite.example/run');
  });

  test.each(['javascript:alert(1)', 'http://', 'two words'])(
    '%s is none: it stays, and says so',
    async (typed) => {
      const { user, kept } = opened();
      await user.type(field(/^Where it is/), `${typed}{Enter}`);
      expect([kept, field(/^Where it is/).value]).toEqual([[], typed]);
      expect(saidOf(field(/^Where it is/))).toMatch(/\.$/);
    },
  );

  test('is taken away by emptying the field', async () => {
    const { user, kept } = opened('https://kite.example/');
    await user.clear(field(/^Where it is/));
    await user.tab();
    expect(kept).toEqual(['']);
  });
});

describe('several lines of text', () => {
  function Shown({ first, most }: { first: string; most: number }) {
    const [value, setValue] = useState(first);
    return <TextField label="What is it" value={value} most={most} onChange={setValue} />;
  }

  test('tell what room is left only when little is, and take no more than fits', async () => {
    const user = userEvent.setup();
    render(<Shown first={'x'.repeat(39)} most={100} />);
    expect(saidOf(field(/^What is it/))).toBeUndefined();
    await user.type(field(/^What is it/), 'yyy');
    expect(saidOf(field(/^What is it/))).toBe('58 characters left');
    await user.type(field(/^What is it/), 'z'.repeat(57));
    expect(saidOf(field(/^What is it/))).toBe('1 character left');
    await user.type(field(/^What is it/), 'abc');
    expect(field(/^What is it/).value).toHaveLength(100);
  });
});
