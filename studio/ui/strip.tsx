import { useQuery } from '@tanstack/react-query';
import { Eye, Redo2, Search, Ticket, Undo2 } from 'lucide-react';
import { useRef, useState } from 'react';
import { listPasses } from '#contract/passes.ts';
import { call } from '../api/call.ts';
import { passesKey } from '../api/passes-key.ts';
import { useSite } from '../api/site-context.tsx';
import { useActions, useFind } from './finder/actions-context.tsx';
import { fetched } from './fetched.tsx';
import { Menu, MenuLabel, MenuLink } from './menu.tsx';
import { readers } from './readers.ts';
import { liveWords, waitingWords } from './live-words.ts';
import { Button } from './button.tsx';
import { SiteSwitcher } from './site-switcher.tsx';
import { IconButton } from './icon-button.tsx';

/** Fetched when somebody publishes for the first time since the studio was opened. */
const PublishDialog = fetched(
  () => import('./publish-dialog.tsx').then((module) => module.PublishDialog),
  () => null,
);

const LivePopover = fetched(
  () => import('./live-popover.tsx').then((module) => module.LivePopover),
  () => null,
);

function LiveStatement() {
  const { state } = useSite();
  const { open, sentence } = liveWords(state.live);
  const waiting = waitingWords(state.live);
  const [reading, setReading] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  return (
    <>
      <button
        ref={button}
        type="button"
        aria-haspopup="dialog"
        aria-expanded={reading}
        onClick={() => setReading(!reading)}
        className="flex min-h-9 items-center gap-2 rounded-[18px] px-3 whitespace-nowrap hover:bg-sunk phone:col-[1/3] phone:row-2 phone:-ml-2 phone:justify-self-start phone:px-2 phone:text-start phone:whitespace-normal short:phone:col-auto short:phone:row-auto short:phone:m-0 short:phone:min-w-0 short:phone:overflow-hidden short:phone:whitespace-nowrap"
      >
        <span className={open ? 'dot' : 'dot shut'} aria-hidden="true" />
        <span>{sentence}</span>
        {waiting && (
          <>
            <span className="wait" aria-hidden="true" />
            <span>
              <b>{waiting}</b>
            </span>
          </>
        )}
      </button>
      {reading && <LivePopover anchor={button} onClose={() => setReading(false)} />}
    </>
  );
}

/** Passes of the site, each as a reader to see it as; asked for when the menu is opened. */
function PassReaders({ site }: { site: string }) {
  const { data } = useQuery({
    queryKey: passesKey(site),
    queryFn: () => call(listPasses, { params: { site } }),
    staleTime: 10_000,
  });
  if (!data || data.passes.length === 0) return null;
  return (
    <>
      <MenuLabel>Whoever holds a pass</MenuLabel>
      {data.passes.map(({ id, label, forWhom }) => (
        <MenuLink
          key={id}
          icon={Ticket}
          name={label}
          {...(forWhom !== '' && { note: forWhom })}
          href={`/studio/see/${site}/pass-${id}/`}
        />
      ))}
    </>
  );
}

/** The top strip: which site, what readers see now, undo, and Publish. */
export function Strip() {
  const { state, undo, redo } = useSite();
  const [publishing, setPublishing] = useState<'never' | 'open' | 'closed'>('never');
  const { live, history, site } = state;
  const find = useFind();
  const path = live.addressPath ?? live.siteLinkPath;
  useActions(() => [
    { name: 'Publish', also: 'release live readers', run: () => setPublishing('open') },
    ...(history.undo ? [{ name: `Undo: ${history.undo.label}`, run: () => void undo() }] : []),
    ...(history.redo
      ? [{ name: `Do again: ${history.redo.label}`, also: 'redo', run: () => void redo() }]
      : []),
    ...readers.map(({ viewer, name }) => ({
      name: `See it as: ${name.toLowerCase()}`,
      also: 'preview read',
      run: () => void window.open(`/studio/see/${site.id}/${viewer}/`, '_blank', 'noreferrer'),
    })),
  ]);
  return (
    <header className="relative z-4 grid min-w-0 grid-cols-[minmax(0,1fr)_auto_minmax(max-content,1fr)] items-center gap-4 border-b border-b-line bg-paper pr-4 pl-6 phone:grid-cols-[minmax(0,1fr)_auto] phone:gap-x-2 phone:gap-y-0 phone:pt-2 phone:pr-2 phone:pb-0.5 phone:pl-4 short:phone:grid-cols-[auto_minmax(0,1fr)_auto] short:phone:pt-0.5">
      <div className="flex min-w-0 items-baseline gap-2 whitespace-nowrap">
        <SiteSwitcher />
        {path && (
          <a
            className="truncate px-0.5 py-1 text-s text-ink-3 underline decoration-edge max-[900px]:hidden"
            href={path}
            target="_blank"
            rel="noreferrer"
          >
            {live.addressPath ? path : 'the link'}
            <span className="sr-only"> (opens what readers see, in a new tab)</span>
          </a>
        )}
      </div>
      <LiveStatement />
      <div className="flex items-center justify-end gap-1.5">
        <IconButton
          className="phone:hidden"
          label="Find a page, a material or something to do"
          title="Find anything (Ctrl and K)"
          onClick={find}
        >
          <Search size={18} aria-hidden="true" />
        </IconButton>
        <IconButton
          disabled={!history.undo}
          label={history.undo ? `Undo: ${history.undo.label}` : 'Undo'}
          title={history.undo ? `Undo: ${history.undo.label}` : 'Nothing to undo'}
          onClick={() => void undo()}
        >
          <Undo2 size={18} aria-hidden="true" />
        </IconButton>
        <IconButton
          className="max-[420px]:hidden"
          disabled={!history.redo}
          label={history.redo ? `Redo: ${history.redo.label}` : 'Redo'}
          title={history.redo ? `Redo: ${history.redo.label}` : 'Nothing to do again'}
          onClick={() => void redo()}
        >
          <Redo2 size={18} aria-hidden="true" />
        </IconButton>
        <Menu
          align="end"
          opener={
            <Button look="bare" className="max-md:px-2" aria-label="See it as…">
              <Eye size={18} aria-hidden="true" />
              <span className="max-md:hidden">See it as…</span>
            </Button>
          }
        >
          {readers.map(({ viewer, ...line }) => (
            <MenuLink key={viewer} {...line} href={`/studio/see/${site.id}/${viewer}/`} />
          ))}
          <PassReaders site={site.id} />
        </Menu>
        <Button look="go" onClick={() => setPublishing('open')}>
          Publish
        </Button>
      </div>
      {publishing !== 'never' && (
        <PublishDialog open={publishing === 'open'} onClose={() => setPublishing('closed')} />
      )}
    </header>
  );
}
