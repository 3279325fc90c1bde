import { ArrowDown, ArrowUp, Link2, Plus, Trash2 } from 'lucide-react';
import { arrayMove } from '@dnd-kit/sortable';
import { useState } from 'react';
import { hostOf } from '#core/links/host-of.ts';
import type { LinkState } from '#core/materials/link.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { type QuickLink, quickLinksAtEnd } from '#core/sites/quick-link.ts';
import { plural } from '#core/words/plural.ts';
import { useSite } from '../../api/site-context.tsx';
import { useAskLink, useLinkAnswers } from '../../check/use-link-answers.ts';
import { Button } from '../../ui/button.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { problemNotice } from '../../ui/notice.ts';
import { QuickLinkDialog } from './quick-link-dialog.tsx';

const stateWords: Record<LinkState, string> = {
  read: 'answers',
  gone: 'is gone',
  closed: 'lets nobody in without a password',
  slow: 'was too slow to answer',
  unreachable: 'does not answer',
};

const days = 24 * 60 * 60 * 1000;
function sinceWords(askedAt: string): string {
  const past = Math.floor((Date.now() - new Date(askedAt).getTime()) / days);
  return past === 0 ? 'asked today' : past === 1 ? 'asked yesterday' : `asked ${past} days ago`;
}

/** Where a link stands, in a few words. */
function placeWords(link: QuickLink, pages: number): string {
  const end =
    link.atEnd === 'every'
      ? 'at the end of every page'
      : link.atEnd === 'chosen'
        ? `at the end of ${plural(pages, 'page')}`
        : '';
  return [link.inMenu && 'in the menu', end].filter(Boolean).join(', ') || 'nowhere yet';
}

/** Links kept in one place and used on many pages: where each stands, and whether it answers. */
export function QuickLinks() {
  const { state, now, changeSite } = useSite();
  const { quickLinks } = state.site;
  const [open, setOpen] = useState<string | null>(null);
  const [asking, setAsking] = useState<string | null>(null);
  const askLink = useAskLink();
  const answers = new Map((useLinkAnswers()?.answers ?? []).map((one) => [one.to, one]));
  const ask = async (to: string) => {
    setAsking(to);
    try {
      await askLink(to);
    } catch (error) {
      problemNotice(error instanceof Error ? error.message : 'It could not be asked. Try again.');
    } finally {
      setAsking(null);
    }
  };
  // A field may have said what was typed in it just before: what there is now counts, not what was drawn.
  const set = (change: (links: readonly QuickLink[]) => QuickLink[], what: string) =>
    changeSite({ quickLinks: change(now().site.quickLinks) }, what);
  const without = (id: string) => (links: readonly QuickLink[]) => links.filter((one) => one.id !== id);
  const move = (at: number, by: -1 | 1) => {
    set((links) => arrayMove([...links], at, at + by), `Place of ${quickLinks[at]?.name || 'a quick link'}`);
  };
  const opens = state.pages.filter((page) => rulesOfPage(page).opens && !page.archived);
  const edited = quickLinks.find((link) => link.id === open);
  return (
    <div role="group" aria-labelledby="quick-links-name" className="grid gap-2">
      <p className="field-name" id="quick-links-name">
        Quick links <em>typed once, right everywhere</em>
      </p>
      {quickLinks.length > 0 && (
        <ul className="grid border border-edge bg-raised">
          {quickLinks.map((link, at) => {
            const answer = answers.get(link.to);
            const name = link.name || 'Unnamed link';
            const on = opens.filter((page) => quickLinksAtEnd([link], page.id).length > 0).length;
            return (
              <li
                key={link.id}
                className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-1 border-t border-t-line px-2.5 py-1.5 first:border-t-0"
              >
                <button
                  type="button"
                  className="flex min-h-7 min-w-0 items-center gap-1.5 text-left hover:underline"
                  onClick={() => setOpen(link.id)}
                >
                  <Link2 size={15} className="shrink-0 text-ink-2" aria-hidden="true" />
                  <b className="truncate font-strong">{name}</b>
                  <span className="note truncate">{hostOf(link.to) ?? 'no address yet'}</span>
                </button>
                <span className="flex items-center">
                  <IconButton
                    small
                    label={`${name} earlier`}
                    disabled={at === 0}
                    onClick={() => move(at, -1)}
                  >
                    <ArrowUp size={15} aria-hidden="true" />
                  </IconButton>
                  <IconButton
                    small
                    label={`${name} later`}
                    disabled={at === quickLinks.length - 1}
                    onClick={() => move(at, 1)}
                  >
                    <ArrowDown size={15} aria-hidden="true" />
                  </IconButton>
                  <IconButton
                    small
                    label={`Take ${name} off`}
                    onClick={() => set(without(link.id), `${name} taken off`)}
                  >
                    <Trash2 size={15} aria-hidden="true" />
                  </IconButton>
                </span>
                <p className="note col-span-2 flex flex-wrap items-center gap-x-2" role="status">
                  <span>Stands {placeWords(link, on)}.</span>
                  {link.to !== '' && (
                    <>
                      <span className={answer && answer.state !== 'read' ? 'text-clay' : ''}>
                        {asking === link.to
                          ? 'Asking'
                          : answer
                            ? `It ${stateWords[answer.state]}, ${sinceWords(answer.askedAt)}.`
                            : 'Not asked yet.'}
                      </span>
                      <button
                        type="button"
                        className="min-h-6 underline underline-offset-2"
                        disabled={asking !== null}
                        onClick={() => void ask(link.to)}
                      >
                        {answer ? 'Ask again' : 'Ask whether it answers'}
                        <span className="sr-only">: {name}</span>
                      </button>
                    </>
                  )}
                </p>
              </li>
            );
          })}
        </ul>
      )}
      <p>
        <Button
          small
          disabled={quickLinks.length >= 40}
          onClick={() => {
            const link: QuickLink = {
              ...{ id: crypto.randomUUID().replaceAll('-', '').slice(0, 14), name: '', to: '' },
              ...{ newWindow: false, inMenu: false, atEnd: 'every', pages: [] },
            };
            set((links) => [...links, link], 'A quick link');
            setOpen(link.id);
          }}
        >
          <Plus size={15} aria-hidden="true" />
          Add a quick link
        </Button>
      </p>
      {edited && (
        <QuickLinkDialog
          key={edited.id}
          link={edited}
          pages={opens}
          onChange={(change, what) =>
            set((links) => links.map((link) => (link.id === edited.id ? { ...link, ...change } : link)), what)
          }
          onClose={() => {
            setOpen(null);
            const left = now().site.quickLinks.find(({ id }) => id === edited.id);
            // What leads nowhere and has no name was opened and left.
            if (left?.name.trim() === '' && left.to === '') set(without(left.id), 'A quick link taken off');
            else if (left && left.to !== '' && !answers.has(left.to)) void ask(left.to);
          }}
        />
      )}
    </div>
  );
}
