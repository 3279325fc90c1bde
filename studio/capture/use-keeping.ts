import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { keep, type Place, type ToKeep } from './kept-things.ts';
import { placeTakenOut, type PlaceTakenOut } from './place-taken-out.ts';

/** What was kept last on this screen, to be seen. */
export interface LastFile {
  name: string;
  /** Of the picture; null for other files. */
  url: string | null;
  place: PlaceTakenOut;
}

interface Keeping {
  last: LastFile | null;
  problem: string;
  /** How often something was kept since the screen was opened. */
  times: number;
  /** How many things are taken and not kept yet: what is in a picture is looked through first. */
  underWay: number;
  /** @returns whether it is kept */
  keepWords: (words: Extract<ToKeep, { words: string }>) => Promise<boolean>;
  keepFiles: (files: readonly File[]) => Promise<void>;
}

const noRoom =
  'There is no room left on this device to keep this. Send what waits, or make room, and try again.';

/** Keeps what is taken, said or written for a page. */
export function useKeeping(place: Place | null): Keeping {
  const [last, setLast] = useState<LastFile | null>(null);
  const [problem, setProblem] = useState('');
  const [times, setTimes] = useState(0);
  const [underWay, setUnderWay] = useState(0);
  const client = useQueryClient();
  const attempt = async (work: () => Promise<void>): Promise<boolean> => {
    try {
      await work();
      // The screen says how much waits: it must know before it says that this is kept.
      await client.refetchQueries({ queryKey: ['kept'] });
      setProblem('');
      setTimes((old) => old + 1);
      return true;
    } catch {
      setProblem(noRoom);
      return false;
    }
  };
  return {
    last,
    problem,
    times,
    underWay,
    keepWords: (words) => attempt(async () => void (await keep(words, place))),
    keepFiles: async (files) => {
      setUnderWay((old) => old + files.length);
      for (const file of files) {
        await attempt(async () => {
          const clean = await placeTakenOut(file);
          await keep({ file: clean.file, name: file.name }, place);
          setLast((old) => {
            if (old?.url) URL.revokeObjectURL(old.url);
            const url = file.type.startsWith('image/') ? URL.createObjectURL(clean.file) : null;
            return { name: file.name, url, place: clean.place };
          });
        });
        setUnderWay((old) => old - 1);
      }
    },
  };
}
