import { ExternalLink } from 'lucide-react';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { effectiveHeight } from '#core/access/effective-height.ts';
import { pageName, rulesOfPage } from '#core/pages/page-kinds.ts';
import { useSite } from '../api/site-context.tsx';
import { SiteAddressField } from './site-address-field.tsx';
import { Dialog } from './dialog.tsx';
import { CopyLink } from './copy-link.tsx';
import { HeightRow } from './height-control.tsx';
import { heightNames } from './height-names.ts';
import { nothingWaits } from './live-words.ts';
import { PublishChoice } from './publish-choice.tsx';
import { Needed, WhoGainsAndLoses } from './publish-outlook.tsx';
import { useOutlook, usePublish } from './use-publish.ts';
import { Button } from './button.tsx';
import { ProgressBar } from './progress-bar.tsx';

/** Pages that stay out because they are Private themselves, each with the way in. */
function PrivatePages({ open }: { open: boolean }) {
  const { state, changePage } = useSite();
  const out = state.pages.filter(
    (page) => !rulesOfPage(page).isFront && page.height === 'private' && !page.archived,
  );
  const summary = useRef<HTMLElement>(null);
  if (out.length === 0) return null;
  return (
    // A few are named at once: what a maker has just made must not stay out unnoticed.
    <details open={open || out.length <= 4}>
      <summary ref={summary} className="note cursor-pointer">
        {out.length === 1 ? '1 page is' : `${out.length} pages are`} Private and{' '}
        {out.length === 1 ? 'stays' : 'stay'} out
      </summary>
      <ul className="mt-2 grid gap-2">
        {out.map((page) => (
          <li key={page.id} className="flex items-center gap-3">
            <span className="min-w-0 flex-1 truncate">{pageName(page)}</span>
            <Button
              small
              onClick={() => {
                // The line goes away; the focus stays with the list.
                summary.current?.focus();
                changePage(
                  page.id,
                  { height: 'public' },
                  `Height of ${page.title || 'a page'}`,
                  `${page.id} height`,
                );
              }}
            >
              Publish it too<span className="sr-only">: {pageName(page)}</span>
            </Button>
          </li>
        ))}
      </ul>
    </details>
  );
}

/** Publish: what will change and for whom, then the progress, then the link to hand on. */
export function PublishDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  const { state, changeSite, refresh, saving } = useSite();
  const { job, problem, start, cancel, reset } = usePublish();
  const [name, setName] = useState('');
  const [staying, setStaying] = useState<ReadonlySet<string>>(new Set());
  // What is decided here is decided on what stands now, whichever tab or device it came from.
  const opened = useEffectEvent(() => void refresh());
  useEffect(() => {
    if (open) opened();
  }, [open]);
  const { live, site } = state;
  const running = job?.state === 'running';
  const done = job?.state === 'done';
  const next = (live.release?.number ?? 0) + 1;
  const path = live.addressPath ?? live.siteLinkPath;
  const settled = saving.kind === 'saved';
  const going = live.waiting.filter(({ page }) => page === null || !staying.has(page));
  const nothing = settled && going.length === 0;
  const outlook = useOutlook(open && !running && !done && settled, [...staying]);
  const needed = outlook?.needed ?? [];
  const choose = (page: string, publish: boolean) =>
    setStaying((old) => {
      const chosen = new Set(old);
      if (publish) chosen.delete(page);
      else chosen.add(page);
      return chosen;
    });
  const close = () => {
    if (running) return;
    reset();
    setStaying(new Set());
    onClose();
  };
  return (
    <Dialog
      title={done ? `Release ${live.release?.number ?? ''} is live` : 'Publish'}
      open={open}
      busy={running}
      onClose={close}
      className="[scroll-padding-bottom:5rem]"
    >
      {running && (
        <div role="status" className="grid gap-3">
          <p>
            {job.step}
            {job.total > 0 && `: ${job.done} of ${job.total}`}
          </p>
          <ProgressBar share={job.total > 0 ? job.done / job.total : 0.04} />
          <p className="note">Readers go on seeing what they saw until all of it is ready.</p>
          <Button className="justify-self-start" onClick={() => void cancel()}>
            Stop
          </Button>
        </div>
      )}
      {done && (
        <div className="grid gap-4">
          {path ? (
            <>
              <p role="status">
                {live.addressPath
                  ? 'Anyone can open it at its address.'
                  : 'Anyone with this link can open it. It stands in no list, and the link stays the same when you publish again.'}
              </p>
              <CopyLink path={path} label="Link for readers" />
              <p>
                <Button asChild look="go">
                  <a href={path} target="_blank" rel="noreferrer">
                    <ExternalLink size={16} aria-hidden="true" />
                    See what readers see
                  </a>
                </Button>
              </p>
            </>
          ) : (
            <p role="status">
              Nobody can open it: the site is {heightNames[site.height]}. Raise it and publish again to let
              people in.
            </p>
          )}
        </div>
      )}
      {!running && !done && (
        <div className="grid gap-4">
          <div>
            <p className="field-name">Who can open the site</p>
            <HeightRow
              effective={effectiveHeight(state, {})}
              of="the site"
              onChange={(height) => changeSite({ height }, 'Height of the site')}
            />
            {site.height === 'private' && (
              <p className="note mt-1">
                While the site is Private, nobody can open what you publish. Unlisted is right for a tutor or
                a first look: only people you give the link to.
              </p>
            )}
            {site.height === 'invited' && (
              <p className="note mt-1">
                While the site is Invited, only people holding a pass can open it. Passes are made in Share;
                each opens what is published, as soon as it is.
              </p>
            )}
          </div>
          {site.height === 'public' && <SiteAddressField />}
          <div>
            <p className="field-name">Publishing will change</p>
            {live.waiting.length > 0 ? (
              <PublishChoice site={site.id} list={live.waiting} staying={staying} onChoose={choose} />
            ) : (
              <p className="note">{settled ? nothingWaits(live, site.height) : 'Saving your last words…'}</p>
            )}
          </div>
          <WhoGainsAndLoses readers={outlook?.readers ?? []} />
          <PrivatePages open={nothing} />
          <Needed needed={needed} />
          <label className="block">
            <span className="field-name">
              Name this release <em>if you like</em>
            </span>
            <input
              className="input"
              value={name}
              maxLength={120}
              onChange={(event) => setName(event.target.value)}
            />
          </label>
          {/* In sight however long the list above is. */}
          <div className="sticky -bottom-5.5 -mx-6 -mb-5.5 border-t border-line bg-paper px-6 py-3.5">
            {problem && (
              <p className="field-problem mt-0 mb-2" role="alert">
                {problem}
              </p>
            )}
            <Button look="go" disabled={nothing} onClick={() => void start(name, [...staying])}>
              {nothing
                ? 'Nothing to publish'
                : `Publish release ${next}${needed.length > 0 ? ' anyway' : ''}`}
            </Button>
          </div>
        </div>
      )}
    </Dialog>
  );
}
