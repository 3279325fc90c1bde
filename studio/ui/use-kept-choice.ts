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
  const [choice, setChoice] = useState<T>(() => {
    const kept = window.localStorage.getItem(key);
    return choices.find((one) => one === kept) ?? choices[0];
  });
  return [
    choice,
    (wanted) => {
      window.localStorage.setItem(key, wanted);
      setChoice(wanted);
    },
  ];
}
