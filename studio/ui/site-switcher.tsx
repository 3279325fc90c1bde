import { useQuery } from '@tanstack/react-query';
import { ChevronDown, Globe, Plus } from 'lucide-react';
import { useNavigate } from 'react-router';
import { listSites } from '#contract/sites.ts';
import { call } from '../api/call.ts';
import { useSite } from '../api/site-context.tsx';
import { Menu, MenuItem, MenuLabel, MenuRule } from './menu.tsx';

/** The maker's other sites; looked up when the menu opens. */
function OtherSites({ onOpen }: { onOpen: (site: string) => void }) {
  const { state } = useSite();
  const sites = useQuery({ queryKey: ['sites'], queryFn: () => call(listSites), staleTime: 0 });
  const others = (sites.data ?? []).filter(({ id }) => id !== state.site.id);
  if (sites.isPending) return <MenuLabel>Looking up your sites</MenuLabel>;
  if (sites.error) return <MenuLabel>Your sites could not be looked up. Open this again.</MenuLabel>;
  if (others.length === 0) return <MenuLabel>This is your only site so far</MenuLabel>;
  return (
    <>
      <MenuLabel>Your other sites</MenuLabel>
      {others.map(({ id, title }) => (
        <MenuItem key={id} icon={Globe} name={title} onSelect={() => onOpen(id)} />
      ))}
    </>
  );
}

/** Which site this is, and the way to another one and to a new one. All of a maker's sites use what was gathered once. */
export function SiteSwitcher() {
  const { state, flush } = useSite();
  const navigate = useNavigate();
  const go = async (to: string) => {
    await flush();
    await navigate(to);
  };
  return (
    <Menu
      opener={
        <button
          type="button"
          className="-ml-1.5 flex min-h-8 min-w-0 items-center gap-1 rounded-m px-1.5 hover:bg-sunk"
          aria-label={`${state.site.title}: your sites`}
        >
          <b className="truncate font-head text-[1rem] leading-5 font-strong">{state.site.title}</b>
          <ChevronDown size={15} className="text-ink-2" aria-hidden="true" />
        </button>
      }
    >
      <OtherSites onOpen={(site) => void go(`/${site}/projects`)} />
      <MenuRule />
      <MenuItem
        icon={Plus}
        name="New site"
        note="From the same pictures and files; Private until you publish it"
        onSelect={() => void go('/new-site')}
      />
    </Menu>
  );
}
