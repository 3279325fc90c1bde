import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { ReleaseSummary } from '#contract/site-state.ts';
import { bringBackRelease, compareRelease, listReleases } from '#contract/publishing.ts';
import { call, Refusal } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { DifferenceList } from '../../ui/difference-list.tsx';
import { Menu, MenuItem, MenuLink } from '../../ui/menu.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { GitCompare, Footprints, Link2, MoreHorizontal } from 'lucide-react';
import { notice, problemNotice } from '../../ui/notice.ts';
import { dayAndTime } from '../../ui/studio-dates.ts';

/** What readers would find otherwise if a release were live again. */
function Compare({ site, release, onClose }: { site: string; release: ReleaseSummary; onClose: () => void }) {
  const { number } = release;
  const told = useQuery({
    queryKey: ['release differences', site, number],
    queryFn: () => call(compareRelease, { params: { site, number: String(number) } }),
    gcTime: 0,
  });
  return (
    <Dialog
      title={`Release ${number} beside what readers have now`}
      description="What would change for readers if it were brought back. What was closed since stays closed."
      onClose={onClose}
    >
      {told.isError && (
        <p className="field-problem" role="alert">
          {told.error instanceof Refusal ? told.error.message : 'That could not be told. Try again.'}
        </p>
      )}
      {told.data &&
        (told.data.length === 0 ? <p>Nothing: both are the same.</p> : <DifferenceList list={told.data} />)}
    </Dialog>
  );
}

/** Every release, to be seen as it was, compared, and brought back. */
export function Releases() {
  const { state, setLive } = useSite();
  const client = useQueryClient();
  const [compared, setCompared] = useState<ReleaseSummary | null>(null);
  const site = state.site.id;
  const releases = useQuery({
    queryKey: ['releases', site, state.live.release?.number],
    queryFn: () => call(listReleases, { params: { site } }),
  });
  const bringBack = async (number: number) => {
    try {
      setLive(await call(bringBackRelease, { params: { site, number: String(number) } }));
      await client.invalidateQueries({ queryKey: ['releases', site] });
      notice(`Readers see release ${number} again. Your draft is as it was.`);
    } catch (error) {
      problemNotice(error instanceof Refusal ? error.message : 'That did not work. Try again.');
    }
  };
  return (
    <section aria-labelledby="releases">
      <h2 id="releases" className="mb-1 text-[1.0625rem]">
        Releases
      </h2>
      {releases.data?.length === 0 && (
        <p className="note">None yet. Each publish makes one, and any of them can be brought back.</p>
      )}
      <ol className="divide-y divide-line">
        {releases.data?.map((release) => (
          <li key={release.number} className="flex min-h-11 items-center gap-3 py-1">
            <span className="w-8 font-mono text-xs leading-xs">{release.number}</span>
            <span className="min-w-0 flex-1">
              <b className="mr-2">{release.name || 'Release'}</b>
              <small className="whitespace-nowrap text-ink-3">{dayAndTime(release.at)}</small>
            </span>
            {release.live ? (
              <span className={state.live.readersReach === 'private' ? 'flag' : 'flag ok'}>
                <span className="dot" aria-hidden="true" />{' '}
                {state.live.readersReach === 'private' ? 'closed now' : 'live now'}
              </span>
            ) : (
              <Button small onClick={() => void bringBack(release.number)}>
                Bring back<span className="sr-only"> release {release.number}</span>
              </Button>
            )}
            <Menu
              align="end"
              opener={
                <IconButton label={`More about release ${release.number}`}>
                  <MoreHorizontal size={18} aria-hidden="true" />
                </IconButton>
              }
            >
              <MenuLink
                icon={Footprints}
                name="See it as strangers got it"
                href={`/studio/release/${site}/${release.number}/stranger/`}
              />
              <MenuLink
                icon={Link2}
                name="See it as whoever has the link got it"
                href={`/studio/release/${site}/${release.number}/link/`}
              />
              {!release.live && (
                <MenuItem
                  icon={GitCompare}
                  name="Compare with what readers have now"
                  onSelect={() => setCompared(release)}
                />
              )}
            </Menu>
          </li>
        ))}
      </ol>
      {compared && <Compare site={site} release={compared} onClose={() => setCompared(null)} />}
    </section>
  );
}
