import { replaceEqualDeep } from '@tanstack/react-query';
import { useState } from 'react';

/**
 * A value worked out anew at each drawing, with whatever in it equals the last one being that very thing: what is drawn
 * from the unchanged rest need not be drawn again.
 */
export function useShared<T>(value: T): T {
  const [share] = useState(() => {
    let last: T | undefined;
    return (next: T): T => {
      last = last === undefined ? next : (replaceEqualDeep(last, next) as T);
      return last;
    };
  });
  return share(value);
}
