import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { dropPlanFeed, getPlanFeed, planFile, renewPlanFeed } from '#contract/plan.ts';
import { call } from '../../api/call.ts';
import { Button } from '../../ui/button.tsx';
import { CopyLink } from '../../ui/copy-link.tsx';
import { problemNotice } from '../../ui/notice.ts';

/** The plan in a calendar program: once, as a file, or from an address that it follows. */
export function PlanFeed({ site }: { site: string }) {
  const client = useQueryClient();
  const key = ['plan-feed', site];
  const params = { site };
  const feed = useQuery({ queryKey: key, queryFn: () => call(getPlanFeed, { params }) });
  const set = useMutation({
    mutationFn: (to: 'another' | 'none') => call(to === 'none' ? dropPlanFeed : renewPlanFeed, { params }),
    onSuccess: (said) => client.setQueryData(key, said),
    onError: (error) => problemNotice(error.message),
  });
  const address = feed.data?.address ?? null;
  return (
    <section className="grid max-w-xl gap-3" aria-labelledby="in-calendar">
      <h2 id="in-calendar">In your calendar</h2>
      <p className="text-ink-2">
        Open tasks that have a day, as a file, or at an address that a calendar program looks at by itself.
        Whoever has the address can read them.
      </p>
      {address !== null && <CopyLink path={address} label="The address of your plan" />}
      <p className="flex flex-wrap gap-2">
        <Button asChild>
          <a href={planFile(site)} download="plan.ics">
            Save as a calendar file
          </a>
        </Button>
        <Button disabled={!feed.data || set.isPending} onClick={() => set.mutate('another')}>
          {address === null ? 'Make an address' : 'Make another address'}
        </Button>
        {address !== null && (
          <Button look="danger" disabled={set.isPending} onClick={() => set.mutate('none')}>
            Take the address away
          </Button>
        )}
      </p>
      {address !== null && (
        <p className="note">Another address, or none, closes this one with the next request.</p>
      )}
      {feed.error && <p role="alert">{feed.error.message}</p>}
    </section>
  );
}
