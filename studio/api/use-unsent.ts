import { useState } from 'react';
import type { z } from 'zod';

const keyOf = (name: string): string => `kite-wall unsent ${name}`;

/** What was kept and is still what it was: a text of another time, or of another program, is nothing. */
function kept<T>(key: string, schema: z.ZodType<T>): T | null {
  const text = window.localStorage.getItem(key);
  if (text === null) return null;
  try {
    return schema.parse(JSON.parse(text));
  } catch {
    return null;
  }
}

/**
 * What somebody writes, kept in this browser until the server has it: a reload, a closed tab or a lost connection takes none of it.
 *
 * @param name of what is written, the same for as long as the component is there
 * @returns what is being written, null where nothing is; and what puts it, or takes it away once it has arrived or is left
 */
export function useUnsent<T>(
  name: string,
  schema: z.ZodType<T>,
): readonly [value: T | null, put: (value: T | null) => void] {
  const key = keyOf(name);
  const [value, setValue] = useState(() => kept(key, schema));
  const put = (next: T | null) => {
    setValue(next);
    try {
      if (next === null) window.localStorage.removeItem(key);
      else window.localStorage.setItem(key, JSON.stringify(next));
    } catch {
      // The browser keeps no more. It stays in the field.
    }
  };
  return [value, put];
}
