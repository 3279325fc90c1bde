import { useQuery } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { Link, useNavigate, useParams } from 'react-router';
import { listSites } from '#contract/sites.ts';
import { mostGroups } from '#core/groups/group.ts';
import { plural } from '#core/words/plural.ts';
import { call } from '../api/call.ts';
import { useGroupChanges, useGroups } from '../api/use-groups.ts';
import { Button } from '../ui/button.tsx';
import { KiteMark } from '../ui/kite-mark.tsx';
import { lastSite } from '../ui/last-site.ts';
import { problemNotice } from '../ui/notice.ts';
import { Loading, Trouble } from '../ui/states.tsx';
import { OneGroup } from './one-group.tsx';

/** A name that none of the groups has. */
function freeName(names: readonly string[]): string {
  for (let n = 1; ; n += 1) {
    const name = n === 1 ? 'New group' : `New group ${n}`;
    if (!names.includes(name)) return name;
  }
}

/** People a maker knows, by names: for passes and lists, and for a class that hands in here. */
export function GroupsRoom() {
  const { group: id } = useParams();
  const navigate = useNavigate();
  const query = useGroups();
  const { make } = useGroupChanges();
  const sites = useQuery({ queryKey: ['sites'], queryFn: () => call(listSites) });
  if (query.isPending) return <Loading what="Fetching your groups" />;
  if (query.error) return <Trouble error={query.error} again={() => void query.refetch()} />;
  const { groups } = query.data;
  const open = groups.find((one) => one.id === id) ?? (id === undefined ? groups[0] : undefined);
  const back = sites.data?.find((one) => one.id === lastSite()) ?? sites.data?.[0];
  const add = () =>
    make.mutate(
      { name: freeName(groups.map(({ name }) => name)), people: [] },
      {
        onSuccess: ({ made }) => void navigate(`/groups/${made}`),
        onError: (error) => problemNotice(error.message),
      },
    );
  return (
    <main className="mx-auto max-w-[76rem] px-5 pt-8 pb-28 md:px-10">
      <header className="mb-6 flex flex-wrap items-center gap-x-4 gap-y-2">
        <KiteMark dark />
        <h1>Groups</h1>
        <Link className="link ml-auto" to="/">
          {back ? `Back to ${back.title}` : 'Back to the studio'}
        </Link>
      </header>
      <div className="grid grid-cols-[15rem_minmax(0,1fr)] items-start gap-x-10 gap-y-6 compact:grid-cols-[minmax(0,1fr)]">
        <nav aria-label="Your groups" className="grid gap-3">
          <ul className="grid">
            {groups.map((one) => (
              <li key={one.id}>
                <Link
                  to={`/groups/${one.id}`}
                  aria-current={one.id === open?.id ? 'page' : undefined}
                  className="block rounded-m border-l-3 border-transparent px-3 py-2 text-ink no-underline hover:bg-sunk aria-[current]:border-vermilion aria-[current]:bg-raised aria-[current]:shadow-1"
                >
                  <b className="block truncate">{one.name}</b>
                  <span className="note">
                    {one.classPage
                      ? `${one.classPage.handedIn} of ${one.classPage.joined} handed in`
                      : plural(one.people.length, 'person', 'people')}
                  </span>
                </Link>
              </li>
            ))}
          </ul>
          {groups.length < mostGroups && (
            <Button small className="justify-self-start" disabled={make.isPending} onClick={add}>
              <Plus size={16} aria-hidden="true" />
              New group
            </Button>
          )}
        </nav>
        {open ? (
          <OneGroup key={open.id} group={open} />
        ) : (
          <p className="max-w-prose text-base leading-6 text-ink-2">
            {id === undefined
              ? 'A group is a list of people: a class, a circle, those you ask again and again. Passes are made for all of them at once, it keeps a list of what they look at, and if you teach it can have a page to which they hand in.'
              : 'This group is not here any more.'}
          </p>
        )}
      </div>
    </main>
  );
}
