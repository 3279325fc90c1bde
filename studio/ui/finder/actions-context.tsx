import {
  createContext,
  type ReactNode,
  useContext,
  useEffect,
  useEffectEvent,
  useId,
  useMemo,
  useRef,
} from 'react';

/** Something that can be done where the maker is now. */
export interface Action {
  name: string;
  run: () => void;
  /** Other words it is found by. */
  also?: string;
}

/** What the account's menu calls, too. */
export const showTheKeys = 'Show the keys';

interface Registry {
  set(key: string, actions: () => readonly Action[]): () => void;
  all(): Action[];
  /** Says how the finder is opened. */
  setFind(open: () => void): void;
  find(): void;
}
const ActionsContext = createContext<Registry | null>(null);

/** Knows what can be done at the moment: each part of the screen says it for itself while it is there. */
export function ActionsProvider({ children }: { children: ReactNode }) {
  const known = useRef(new Map<string, () => readonly Action[]>());
  const opener = useRef(() => {});
  const registry = useMemo<Registry>(
    () => ({
      set: (key, actions) => {
        known.current.set(key, actions);
        return () => known.current.delete(key);
      },
      all: () => [...known.current.values()].flatMap((actions) => actions()),
      setFind: (open) => (opener.current = open),
      find: () => opener.current(),
    }),
    [],
  );
  return <ActionsContext value={registry}>{children}</ActionsContext>;
}

/** Offers actions in the finder while the component that calls this is on the screen; asked for when it opens. */
export function useActions(actions: () => readonly Action[]): void {
  const registry = useContext(ActionsContext);
  const key = useId();
  const latest = useEffectEvent(actions);
  useEffect(() => registry?.set(key, () => latest()), [key, registry]);
}

/** Everything that can be done now, asked for when the finder opens. */
export function useAllActions(): () => Action[] {
  const registry = useContext(ActionsContext);
  return () => registry?.all() ?? [];
}

/** Says how the finder is opened, for whoever has a button for it. */
export function useFindOpener(open: () => void): void {
  const registry = useContext(ActionsContext);
  const latest = useEffectEvent(open);
  useEffect(() => registry?.setFind(() => latest()), [registry]);
}

/** Opens the finder. */
export function useFind(): () => void {
  const registry = useContext(ActionsContext);
  return () => registry?.find();
}
