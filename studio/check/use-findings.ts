import { format } from 'date-fns';
import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { effectiveHeight } from '#core/access/effective-height.ts';
import { reaches } from '#core/access/height.ts';
import type { Finding } from '#core/check/finding.ts';
import { waivedBecause } from '#core/check/waiver.ts';
import type { Draft } from '#core/sites/site.ts';
import { useSite } from '../api/site-context.tsx';
import { useNow } from '../ui/use-now.ts';
import { type Findings, FindingsStore } from './findings-store.ts';

const makeWorker = () => new Worker(new URL('./check-worker.ts', import.meta.url), { type: 'module' });

/** Of the site that is open. The rail and the room look at the same. */
let open: { site: string; store: FindingsStore } | null = null;
export function storeOf(site: string): FindingsStore {
  if (open?.site !== site) {
    open?.store.end();
    open = { site, store: new FindingsStore(makeWorker) };
  }
  return open.store;
}

/** What the rules notice on the site as it is here now. */
export function useFindings(): Findings {
  const { state } = useSite();
  const today = format(useNow(), 'yyyy-MM-dd');
  const store = storeOf(state.site.id);
  useEffect(() => store.tell(state, today), [store, state, today]);
  return useSyncExternalStore(store.subscribe, store.get);
}

/** Whether readers get a page, now or as soon as its site is opened to anybody. */
export const isGoing = (draft: Pick<Draft, 'site' | 'pages'>, page: string): boolean =>
  reaches(
    effectiveHeight({ ...draft, site: { ...draft.site, height: 'public' } }, { page }).height,
    'invited',
  );

/** What is needed on the pages that readers get, but for what its maker lets stand. */
export function useNeeded(): readonly Finding[] {
  const { state } = useSite();
  const { of } = useFindings();
  return useMemo(
    () =>
      [...of].flatMap(([page, all]) =>
        isGoing(state, page)
          ? all.filter(
              (finding) => finding.weight === 'needed' && waivedBecause(state.site.waived, finding) === null,
            )
          : [],
      ),
    [of, state],
  );
}
