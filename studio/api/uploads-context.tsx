import {
  createContext,
  type ReactNode,
  useCallback,
  useContext,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import pLimit from 'p-limit';
import { stopUpload } from '#contract/materials.ts';
import { call, Refusal } from './call.ts';
import { useSite } from './site-context.tsx';
import type { KeptUpload } from './kept-uploads.ts';
import { type Outgoing, uploadFile } from './upload-file.ts';
import { within } from './within.ts';
import { notice } from '../ui/notice.ts';
import { useStable } from '../ui/use-stable.ts';

export interface Upload extends Outgoing {
  id: number;
  state: 'waiting' | 'sending' | 'reading' | 'done' | 'duplicate' | 'failed' | 'cancelled';
  /** Share of the bytes that have arrived, 0 to 1. */
  share: number;
  message: string;
  material: string | null;
}

interface Uploads {
  list: readonly Upload[];
  /**
   * Starts sending files; resolves with the ids of the materials when all have ended, in the files' order.
   *
   * @param madeOn the day they were made, for files whose own bytes cannot say
   */
  add(files: readonly File[], madeOn?: string): Promise<string[]>;
  cancel(id?: number): void;
  again(id: number): void;
  clear(): void;
}

const UploadsContext = createContext<Uploads | null>(null);

export function useUploads(): Uploads {
  const uploads = useContext(UploadsContext);
  if (!uploads) throw new Error('This component belongs inside a site.');
  return uploads;
}

/** Files sent at the same time; more would only make each slower. */
const atOnce = 4;
/** A line that broke is tried again by itself this often, after this long. */
const tries = 3;
/** A browser that takes longer to keep a file does not hold up its sending. */
const keepingMs = 2000;
const pauseMs = 1500;

const stopped = { state: 'cancelled', message: 'Stopped. Nothing of it was stored.' } as const;
/** What is told of a file that was stopped while it was sent or read, after asking the server whether that was in time. */
const afterStopping = (was: 'stopped' | 'stored' | 'not-there' | 'unknown'): Partial<Upload> => {
  if (was === 'stored') return { state: 'done', message: 'It was stored before it could be stopped.' };
  if (was !== 'unknown') return stopped;
  return { ...stopped, message: 'Stopped. Should it stand in Gather after all, delete it there.' };
};

export function UploadsProvider({ children }: { children: ReactNode }) {
  const { state, run, refresh } = useSite();
  const stable = useStable({ refresh });
  const site = state.site.id;
  const [list, setList] = useState<readonly Upload[]>([]);
  const next = useRef(1);
  const aborts = useRef(new Map<number, AbortController>());
  const [inTurn] = useState(() => pLimit(atOnce));

  const set = useCallback(
    (id: number, change: Partial<Upload>) =>
      setList((old) => old.map((one) => (one.id === id ? { ...one, ...change } : one))),
    [],
  );

  const send = useCallback(
    (id: number, outgoing: Outgoing): Promise<string | null> => {
      const abort = new AbortController();
      aborts.current.set(id, abort);
      // Kept in this browser until it has arrived, also while it waits its turn; where that is not possible, or slow, it is
      // sent all the same.
      const keeping = import('./kept-uploads.ts')
        .then(({ keepUpload }) => keepUpload(site, outgoing))
        .catch(() => null);
      const forget = () =>
        within(
          keepingMs,
          keeping.then((kept) => kept?.()),
        ).catch(() => undefined);
      let waits = true;
      abort.signal.addEventListener('abort', () => {
        if (!waits) return;
        set(id, stopped);
        // At once, and not when its turn comes: the next visit must not send what was stopped here.
        void forget();
      });
      return inTurn(async () => {
        waits = false;
        let material: string | null = null;
        let sent = false;
        const upload = crypto.randomUUID();
        try {
          abort.signal.throwIfAborted();
          await within(keepingMs, keeping);
          for (let attempt = 1; ; attempt++) {
            try {
              abort.signal.throwIfAborted();
              set(id, { state: 'sending', share: 0, message: '' });
              sent = true;
              const reply = await uploadFile(
                site,
                outgoing,
                (share) => set(id, share < 1 ? { share } : { share, state: 'reading' }),
                abort.signal,
                upload,
              );
              await run(() => Promise.resolve(reply));
              material = reply.material;
              set(id, { state: reply.duplicate ? 'duplicate' : 'done', share: 1, material });
              break;
            } catch (error) {
              if (!(error instanceof Refusal) || !error.unreachable || attempt >= tries) throw error;
              await new Promise((resolve) => setTimeout(resolve, pauseMs));
            }
          }
        } catch (error) {
          if (abort.signal.aborted) {
            const { was } = sent
              ? await call(stopUpload, { params: { site, upload } }).catch(() => ({
                  was: 'unknown' as const,
                }))
              : { was: 'not-there' as const };
            // Meanwhile it may have been told to go again.
            if (aborts.current.get(id) === abort) set(id, afterStopping(was));
            if (was === 'stored' || was === 'unknown') await stable.refresh();
          } else
            set(id, {
              state: 'failed',
              message: error instanceof Refusal ? error.message : 'This file could not be sent. Try again.',
            });
        } finally {
          await forget();
          if (aborts.current.get(id) === abort) aborts.current.delete(id);
        }
        return material;
      });
    },
    [inTurn, run, set, site, stable],
  );

  const busy = list.some(({ state: now }) => ['waiting', 'sending', 'reading'].includes(now));
  // With the words on the screen and not a moment later: whoever reads that all has arrived may leave at once.
  useLayoutEffect(() => {
    if (!busy) return;
    // The browser asks in its own words whether to leave.
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [busy]);

  const addAll = useCallback(
    async (outgoing: readonly Outgoing[]) => {
      const added = outgoing.map((one): Upload => ({
        ...one,
        id: next.current++,
        state: 'waiting',
        share: 0,
        message: '',
        material: null,
      }));
      setList((old) => [...old.filter((one) => one.state !== 'done' && one.state !== 'duplicate'), ...added]);
      const materials = await Promise.all(added.map((one) => send(one.id, one)));
      return materials.filter((one) => one !== null);
    },
    [send],
  );
  const add = useCallback(
    (files: readonly File[], madeOn: string | null = null) => addAll(files.map((file) => ({ file, madeOn }))),
    [addAll],
  );

  const lookedFor = useRef('');
  useEffect(() => {
    if (lookedFor.current === site) return;
    lookedFor.current = site;
    const onLeft = (left: readonly KeptUpload[]) => {
      const names = (some: typeof left) => some.map(({ name }) => name).join(', ');
      const gone = left.filter(({ file }) => file === null);
      const here = left.filter(({ file }) => file !== null);
      if (here.length > 0)
        notice(
          `Not arrived when this page was left, and sent now: ${names(here)}. You find them in Gather.`,
          { duration: 15_000 },
        );
      if (gone.length > 0)
        notice(`Not arrived when this page was left; bring them again: ${names(gone)}.`, {
          duration: 60_000,
        });
      void addAll(left.flatMap(({ file, madeOn = null }) => (file ? { file, madeOn } : [])));
    };
    void import('./kept-uploads.ts')
      .then(({ leftUploads }) => leftUploads(site, onLeft))
      // A browser that keeps nothing has nothing to say.
      .catch(() => undefined);
  }, [addAll, site]);

  const uploads = useMemo<Uploads>(
    () => ({
      list,
      add,
      cancel: (id) => {
        for (const [running, abort] of aborts.current) if (id === undefined || id === running) abort.abort();
      },
      again: (id) => {
        const upload = list.find((one) => one.id === id);
        if (!upload) return;
        set(id, { state: 'waiting', share: 0, message: '' });
        void send(id, upload);
      },
      clear: () =>
        setList((old) => old.filter((one) => ['waiting', 'sending', 'reading'].includes(one.state))),
    }),
    [add, list, send, set],
  );
  return <UploadsContext value={uploads}>{children}</UploadsContext>;
}
