import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { listPasses } from '#contract/passes.ts';
import { call } from '../../api/call.ts';
import { passesKey } from '../../api/passes-key.ts';
import { useSite } from '../../api/site-context.tsx';
import { Loading, Trouble } from '../../ui/states.tsx';
import { columnsOf } from './columns.ts';
import { WhoTable } from './who-table.tsx';

/** Who gets what: pages and parts by kinds of readers, by the function that filters a release. */
export function WhoRoom() {
  const { state } = useSite();
  const { site } = state;
  const passes = useQuery({
    queryKey: passesKey(site.id),
    queryFn: () => call(listPasses, { params: { site: site.id } }),
  });
  const [now] = useState(() => new Date());
  const list = passes.data?.passes;
  const columns = useMemo(() => columnsOf(site, list ?? [], now), [site, list, now]);
  if (passes.isPending) return <Loading what="Fetching your passes" />;
  if (passes.error) return <Trouble error={passes.error} again={() => void passes.refetch()} />;
  return (
    <div className="grid h-full min-h-0 grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)] px-5 pt-5 md:px-8">
      <header className="flex flex-wrap items-baseline gap-x-4 gap-y-1 pb-3">
        <h1>Who gets what</h1>
        <p className="note">With the next publish. A sign opens the page as that reader gets it.</p>
        <Link className="link ml-auto" to=".." relative="path">
          Back to Share
        </Link>
      </header>
      <WhoTable columns={columns} />
    </div>
  );
}
