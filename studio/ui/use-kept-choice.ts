import { useState } from 'react';

/**
 * A way to look at things that stays in this browser and is no edit of the site: how a board is grouped, what is folded
 * away.
 *
 * @param choices all there are; the first is the one to begin with
 */
export function useKeptChoice<T extends string>(
  name: string,
  choices: readonly [T, ...T[]],
): [T, (choice: T) => void] {
  const key = `kite-wall ${name}`;
  const kept = (): T => {
    const was = window.localStorage.getItem(key);
    return choices.find((one) => one === was) ?? choices[0];
  };
  const [last, setLast] = useState(() => ({ key, choice: kept() }));
  return [
    // The same place may be asked for something else next.
    last.key === key ? last.choice : kept(),
    (choice) => {
      window.localStorage.setItem(key, choice);
      setLast({ key, choice });
    },
  ];
}
