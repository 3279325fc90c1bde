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

interface Registry {
  set(key: string, actions: () => readonly Action[]): () => void;
  all(): Action[];
}
const ActionsContext = createContext<Registry | null>(null);

/** Knows what can be done at the moment: each part of the screen says it for itself while it is there. */
export function ActionsProvider({ children }: { children: ReactNode }) {
  const known = useRef(new Map<string, () => readonly Action[]>());
  const registry = useMemo<Registry>(
    () => ({
      set: (key, actions) => {
        known.current.set(key, actions);
        return () => known.current.delete(key);
      },
      all: () => [...known.current.values()].flatMap((actions) => actions()),
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
