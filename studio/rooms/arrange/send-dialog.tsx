import { useQuery } from '@tanstack/react-query';
import { listSites } from '#contract/sites.ts';
import type { Page } from '#core/pages/page.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { Loading, Trouble } from '../../ui/states.tsx';

/** Which of the maker's other sites a page is taken to. */
export function SendDialog({
  page,
  onSend,
  onClose,
}: {
  page: Page;
  onSend: (site: string, title: string) => void;
  onClose: () => void;
}) {
  const { state } = useSite();
  const sites = useQuery({ queryKey: ['sites'], queryFn: () => call(listSites) });
  const others = (sites.data ?? []).filter(({ id }) => id !== state.site.id);
  return (
    <Dialog
      title={`Take ${pageName(page)} to another site`}
      description="It goes with all that stands below it and is Private there. Its addresses and links are new; the old ones open nothing."
      onClose={onClose}
    >
      {sites.isPending && <Loading what="Looking up your sites" />}
      {sites.error && <Trouble error={sites.error} again={() => void sites.refetch()} />}
      {sites.data && others.length === 0 && (
        <p>You have no other site yet. The site’s name at the top of the studio leads to a new one.</p>
      )}
      <ul className="grid gap-2">
        {others.map(({ id, title }) => (
          <li key={id}>
            <Button className="w-full justify-start!" onClick={() => onSend(id, title)}>
              {title}
            </Button>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
