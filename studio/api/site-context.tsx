import { useQuery, useQueryClient } from '@tanstack/react-query';
import pLimit from 'p-limit';
import {
  createContext,
  type ReactNode,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useState,
  useSyncExternalStore,
} from 'react';
import { useNavigate } from 'react-router';
import { type Patch } from '#contract/patch.ts';
import { type Live } from '#contract/site-state.ts';
import { getWords } from '#contract/materials.ts';
import { getSite } from '#contract/sites.ts';
import { redoEdit, undoEdit } from '#contract/undo.ts';
import type { Material } from '#core/materials/material.ts';
import type { Page } from '#core/pages/page.ts';
import type { Site } from '#core/sites/site.ts';
import { SignInAgain } from '../account/sign-in-again.tsx';
import { fetched } from '../ui/fetched.tsx';
import { Loading, Trouble } from '../ui/states.tsx';
import { call, mendedEvent, Refusal } from './call.ts';
import { type Direction, type StepQuestion, stepQuestion } from './step-question.ts';
import { queueOfSite } from './queue-of-site.ts';
import { type SaveState } from './save-queue.ts';
import { applyPatch, received, seenRevision, type StudioSite, withChange, withWords } from './studio-site.ts';
import { UnsentNotes } from './unsent-notes.ts';
import { typesWords } from './types-words.ts';
import { notice, problemNotice } from '../ui/notice.ts';

const AskDialog = fetched(
  () => import('../ui/ask-dialog.tsx').then((module) => module.AskDialog),
  () => null,
);

interface SiteApi {
  state: StudioSite;
  /** The site as it is when this is called: for what goes on after waiting, when `state` may be of before. */
  now(): StudioSite;
  saving: SaveState;
  /** Shows a change at once and saves it by itself. */
  changeSite(change: Partial<Site>, label: string): void;
  changePage(id: string, change: Partial<Page>, label: string, mergeKey: string): void;
  changeMaterial(id: string, change: Partial<Material>, label: string, mergeKey: string): void;
  /** Saves what is pending first, then runs a command and lays its patch over the copy. */
  run<P extends Patch>(command: () => Promise<P | null>): Promise<P | null>;
  setLive(live: Live): void;
  /** Fetches what other tabs and devices did meanwhile; while something here is unsent, nothing is fetched over it. */
  refresh(): Promise<void>;
  /** Saves what is pending; whether all of it is saved then. */
  flush(): Promise<boolean>;
  /** Fetches the whole words of materials of which only the beginning is here; at once where all are whole. */
  fetchWords(materials: readonly string[]): Promise<void>;
  /** Says that words are being typed which no change holds yet. */
  setTyping(typing: boolean): void;
  /** The revision at which a row was last received, as it is when this is called. */
  seen(row: string): number;
  undo(): Promise<void>;
  redo(): Promise<void>;
  resolve(choice: 'mine' | 'theirs'): void;
  retry(): void;
}

const SiteContext = createContext<SiteApi | null>(null);

/** The site whose rooms are open. */
export function useSite(): SiteApi {
  const api = useContext(SiteContext);
  if (!api) throw new Error('This component belongs inside a site.');
  return api;
}

const key = (id: string) => ['site', id];

/** Whole words of some materials, asked for in lots of what one request may name. */
async function wordsOf(site: string, materials: readonly string[]): Promise<Record<string, string>> {
  const all: Record<string, string> = {};
  for (let from = 0; from < materials.length; from += 500) {
    const body = { materials: materials.slice(from, from + 500) };
    Object.assign(all, (await call(getWords, { params: { site }, body })).words);
  }
  return all;
}

export function SiteProvider({ id, children }: { id: string; children: ReactNode }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const seen = useCallback(
    (row: string) => {
      const state = client.getQueryData<StudioSite>(key(id));
      return state ? seenRevision(state, row) : 0;
    },
    [client, id],
  );
  const show = useCallback(
    (kind: 'site' | 'page' | 'material', row: string, change: Record<string, unknown>) =>
      client.setQueryData<StudioSite>(key(id), (old) => (old ? withChange(old, kind, row, change) : old)),
    [client, id],
  );
  const [queue] = useState(() =>
    queueOfSite(client, {
      site: id,
      seen,
      row: (kind, row) => {
        const state = client.getQueryData<StudioSite>(key(id));
        if (kind === 'site') return state?.site;
        return state?.[kind === 'page' ? 'pages' : 'materials'].find((one) => one.id === row);
      },
      onJoined: () => notice('Joined with what was changed in another tab or on another device.'),
      apply: (patch, keep) =>
        client.setQueryData<StudioSite>(key(id), (old) => (old ? applyPatch(old, patch, keep) : old)),
      onMisplaced: () => void client.invalidateQueries({ queryKey: key(id) }),
      onTakenOver: (left) => left.forEach(({ kind, id: row, change }) => show(kind, row, change)),
      notes: new UnsentNotes(id, { store: window.localStorage, locks: navigator.locks }),
    }),
  );
  const saving = useSyncExternalStore(queue.subscribe, () => queue.state);
  const [asking, setAsking] = useState<StepQuestion | null>(null);

  const query = useQuery({
    queryKey: key(id),
    queryFn: async () => {
      let state = received(await call(getSite, { params: { site: id } }));
      // A save that was answered while this was on its way knows more.
      const known = client.getQueryData<StudioSite>(key(id));
      if (known && known.revision > state.revision) return known;
      // What was fetched whole stays whole: somebody may be reading it, or typing in it.
      const open = known ? [...state.begun].filter((one) => !known.begun.has(one)) : [];
      state = withWords(state, await wordsOf(id, open));
      // Words kept in this browser from before are on the screen again at once.
      for (const { kind, id: row, change } of queue.unsent) state = withChange(state, kind, row, change);
      return state;
    },
    // Coming back to this tab shows what another tab or device did, unless something here is still unsent.
    refetchOnWindowFocus: () => queue.unsent.length === 0,
    staleTime: 5_000,
  });

  const apply = useCallback(
    (patch: Patch) =>
      client.setQueryData<StudioSite>(key(id), (old) =>
        old ? applyPatch(old, patch, new Set(queue.unsent.map((one) => one.id))) : old,
      ),
    [client, id, queue],
  );
  const run = useCallback(
    async <P extends Patch>(command: () => Promise<P | null>): Promise<P | null> => {
      await queue.flush();
      try {
        const patch = await command();
        if (!patch) return null;
        queue.builtOn(patch);
        apply(patch);
        return patch;
      } catch (error) {
        if (!(error instanceof Refusal) || error.problem.code !== 'signed-out')
          problemNotice(error instanceof Refusal ? error.message : 'That did not work. Try again.');
        return null;
      }
    },
    [apply, queue],
  );
  const setTyping = useCallback((typing: boolean) => queue.setTyping(typing), [queue]);
  const state = query.data;
  const takeStep = useCallback(
    async (direction: Direction, wanted: StepQuestion['wanted'] = {}) => {
      const route = direction === 'undo' ? undoEdit : redoEdit;
      const patch = await run(async () => {
        // Looked at once all is saved: the step that the maker sees then is the one they mean.
        const { step: seen } = client.getQueryData<StudioSite>(key(id))?.history[direction] ?? {};
        const body = { step: seen, ...wanted };
        try {
          return await call(route, { params: { site: id }, body });
        } catch (error) {
          const question = error instanceof Refusal && stepQuestion(direction, body.step, error);
          if (!question) throw error;
          setAsking(question);
          return null;
        }
      });
      if (!patch) return;
      const done = direction === 'undo' ? 'Undone' : 'Done again';
      notice(`${patch.takenOut ? 'Taken out of the history' : done}: ${patch.label}`);
    },
    [client, id, run],
  );
  // One after the other: pressed twice fast, the second means the step that is next once the first is taken.
  const [inTurn] = useState(() => pLimit(1));
  const step = useCallback(
    (...asked: Parameters<typeof takeStep>) => inTurn(() => takeStep(...asked)),
    [inTurn, takeStep],
  );

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
      const target = event.target as HTMLElement;
      // In words being typed, the editor's own undo comes first; it lets go when it has nothing left.
      if (event.defaultPrevented || (typesWords(target) && !event.altKey)) return;
      event.preventDefault();
      void step(event.shiftKey ? 'redo' : 'undo');
    };
    const onHide = () => void queue.flush();
    const onMended = () =>
      notice('Signs that nobody can see were taken out of what you pasted or typed.', { id: 'mended' });
    window.addEventListener('keydown', onKey);
    window.addEventListener('pagehide', onHide);
    window.addEventListener(mendedEvent, onMended);
    window.addEventListener('online', onHide);
    return () => {
      window.removeEventListener('keydown', onKey);
      window.removeEventListener('pagehide', onHide);
      window.removeEventListener(mendedEvent, onMended);
      window.removeEventListener('online', onHide);
    };
  }, [queue, step]);

  const api = useMemo<SiteApi | null>(
    () =>
      state
        ? {
            state,
            now: () => client.getQueryData<StudioSite>(key(id)) ?? state,
            saving,
            changeSite: (change, label) => {
              // The queue first: it notes how the row was.
              queue.change(
                'site',
                id,
                change,
                label,
                // What is called otherwise is another step, also where it changes the same field: a link taken off, and one renamed.
                stepOf(change, `site ${Object.keys(change).join(' ')} ${label}`.slice(0, 120)),
              );
              show('site', id, change);
            },
            changePage: (page, change, label, mergeKey) => {
              queue.change('page', page, change, label, stepOf(change, mergeKey));
              show('page', page, change);
            },
            changeMaterial: (material, change, label, mergeKey) => {
              queue.change('material', material, change, label, mergeKey);
              show('material', material, change);
            },
            run,
            setLive: (live) =>
              client.setQueryData<StudioSite>(key(id), (old) => (old ? { ...old, live } : old)),
            refresh: async () => {
              if (queue.unsent.length === 0) await query.refetch();
            },
            flush: () => queue.flush(),
            fetchWords: async (materials) => {
              const begun = client.getQueryData<StudioSite>(key(id))?.begun;
              const words = await wordsOf(
                id,
                materials.filter((one) => begun?.has(one)),
              );
              client.setQueryData<StudioSite>(key(id), (old) => (old ? withWords(old, words) : old));
            },
            setTyping,
            seen,
            undo: () => step('undo'),
            redo: () => step('redo'),
            resolve: (choice) => {
              queue.resolve(choice);
              // What stands on the server is shown once what was given up is kept there.
              if (choice === 'theirs') void queue.flush().then(() => query.refetch());
            },
            retry: () => queue.retry(),
          }
        : null,
    [client, id, query, queue, run, saving, seen, setTyping, show, state, step],
  );

  if (query.isPending) return <Loading what="Opening the site" />;
  if (!api)
    return (
      <Trouble
        error={query.error ?? new Error('The site did not load.')}
        again={() => {
          if (query.error instanceof Refusal && query.error.status === 404) void navigate('/');
          else void query.refetch();
        }}
      />
    );
  return (
    <SiteContext value={api}>
      {children}
      <SignInAgain
        onBack={() => {
          queue.retry();
          void query.refetch();
        }}
      />
      {asking && (
        <AskDialog
          open
          title={asking.title}
          leave={asking.leave}
          answers={[{ name: asking.answer, run: () => void step(asking.direction, asking.wanted) }]}
          onClose={() => setAsking(null)}
        >
          <p>{asking.sentence}</p>
        </AskDialog>
      )}
    </SiteContext>
  );
}

/** What is chosen or moved and not typed. */
const chosen =
  'height archived parent rank inMenu language menu wall wallOrder offWall wallLabels wallDates wallTags welcome rights'.split(
    ' ',
  );
/** Each choice is a step of its own: one that is taken back must not take another one along. */
const stepOf = (change: object, mergeKey: string): string =>
  chosen.some((field) => field in change) ? `${mergeKey} ${crypto.randomUUID()}` : mergeKey;
