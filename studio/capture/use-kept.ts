import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import {
  keptThings,
  type KeptThing,
  knownPlaces,
  type KnownPlaces,
  onKeptChange,
  type Running,
  runningNow,
} from './kept-things.ts';

interface Kept {
  things: KeptThing[];
  known: KnownPlaces | null;
  running: Running | null;
}

/** What is on this device, as it changes here, in other tabs and in the background; null until it has been read. */
export function useKept(): { kept: Kept | null; problem: Error | null } {
  const client = useQueryClient();
  const { data, error } = useQuery({
    queryKey: ['kept'],
    queryFn: async (): Promise<Kept> => {
      const [things, known, running] = await Promise.all([keptThings(), knownPlaces(), runningNow()]);
      return { things, known, running };
    },
    staleTime: Infinity,
  });
  useEffect(() => onKeptChange(() => void client.invalidateQueries({ queryKey: ['kept'] })), [client]);
  return { kept: data ?? null, problem: error };
}
