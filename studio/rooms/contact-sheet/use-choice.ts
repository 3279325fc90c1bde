import { useCallback, useState } from 'react';

/** Ids in the order chosen, with every step there was, so that each can be taken back. */
export function useChoice(first: readonly string[]) {
  const [steps, setSteps] = useState<readonly (readonly string[])[]>([first]);
  const chosen = steps.at(-1) ?? [];
  const set = useCallback(
    (next: readonly string[]) =>
      setSteps((old) => (old.at(-1)?.join() === next.join() ? old : [...old.slice(-100), next])),
    [],
  );
  return {
    chosen,
    set,
    toggle: (id: string) => set(chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id]),
    /** Puts a chosen one, or one that was not chosen, at a place; 0 is the first. */
    place: (id: string, at: number) => {
      const others = chosen.filter((one) => one !== id);
      set([...others.slice(0, Math.max(0, at)), id, ...others.slice(Math.max(0, at))]);
    },
    back: steps.length > 1 ? () => setSteps(steps.slice(0, -1)) : null,
  };
}
