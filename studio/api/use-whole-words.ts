import { useQuery } from '@tanstack/react-query';
import { useSite } from './site-context.tsx';

/** Whether all is here of what is said in some materials. */
export interface WholeWords {
  whole: boolean;
  /** Why it could not be fetched. */
  error: Error | null;
  again(): void;
}

/** Fetches what is said in these materials, where only its beginning is here. */
export function useWholeWords(materials: readonly string[]): WholeWords {
  const { state, fetchWords } = useSite();
  const begun = materials.filter((id) => state.begun.has(id));
  const { error, refetch } = useQuery({
    queryKey: ['words', state.site.id, ...begun],
    // What comes is laid over the site's own copy; nothing is kept here.
    queryFn: () => fetchWords(begun).then(() => true),
    enabled: begun.length > 0,
    gcTime: 0,
    staleTime: 0,
  });
  return { whole: begun.length === 0, error: begun.length > 0 ? error : null, again: () => void refetch() };
}
