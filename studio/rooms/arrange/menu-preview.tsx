import { memo, useState } from 'react';
import { wordsFor } from '#core/public-words/words-for.ts';
import type { MenuNode } from '#core/menu/readers-menu.ts';
import { menuManners, type MenuManner } from '#core/menu/menu-manner.ts';
import { type QuickLink, quickLinksInMenu } from '#core/sites/quick-link.ts';
import type { Draft } from '#core/sites/site.ts';
import { useSite } from '../../api/site-context.tsx';
import { mannerNames } from '../../ui/arrangement-names.ts';
import { InTheme, LookBox } from '../../ui/in-theme.tsx';
import { Segments } from '../../ui/segments.tsx';
import { asIfPublic, menuFor, type ReaderKey, readers } from './reader-menus.ts';

/** The menu as a list, each level a little further in. */
function Names({
  nodes,
  links = [],
  deep,
}: {
  nodes: readonly MenuNode[];
  links?: readonly QuickLink[];
  deep: boolean;
}) {
  return (
    <ul className={deep ? 'pl-3' : ''}>
      {nodes.map(({ page, title, below }) => (
        <li key={page.id} className="border-t border-t-(--line) py-0.5 first:border-t-0">
          <span className={page.kind === 'heading' ? 'text-(--ink-2)' : ''}>{title}</span>
          {below.length > 0 && <Names nodes={below} deep />}
        </li>
      ))}
      {links.map(({ id, name }) => (
        <li key={id} className="border-t border-t-(--line) py-0.5">
          {name}
        </li>
      ))}
    </ul>
  );
}

interface WideProps {
  nodes: readonly MenuNode[];
  links: readonly QuickLink[];
  manner: MenuManner;
  site: string;
}

/** On a wide page, in the manner chosen. */
function Wide({ nodes, links, manner, site }: WideProps) {
  const word = wordsFor(useSite().state.site.language).menu;
  const name = (
    <b className="mr-auto font-(--display-wght) text-[1.0625rem] [font-family:var(--font-display)]">{site}</b>
  );
  const section = nodes.find(({ below, page }) => below.length > 0 && page.kind !== 'heading');
  if (manner === 'side')
    return (
      <div className="grid min-h-44 grid-cols-[9.5rem_minmax(0,1fr)]">
        <div className="border-r border-r-(--line) p-2.5">
          {name}
          <div className="mt-2">
            <Names nodes={nodes} links={links} deep={false} />
          </div>
        </div>
      </div>
    );
  return (
    <div className="min-h-24">
      <div className="flex flex-wrap items-baseline gap-x-3 gap-y-0.5 border-b border-b-(--ink) px-2.5 py-2">
        {name}
        {manner === 'word' ? (
          <span className="border px-2 py-0.5 font-strong">{word}</span>
        ) : (
          nodes.map(({ page, title, below }) => (
            <span
              key={page.id}
              className={
                page === section?.page
                  ? 'underline decoration-(--accent) decoration-2 underline-offset-4'
                  : ''
              }
            >
              {title}
              {page.kind === 'heading' && below.length > 0 && (
                <span className="text-(--ink-2)"> {below.map((one) => one.title).join(' · ')}</span>
              )}
            </span>
          ))
        )}
        {manner === 'line' && links.map(({ id, name: link }) => <span key={id}>{link}</span>)}
      </div>
      {manner === 'line' && section && (
        <div className="flex flex-wrap gap-x-3 border-b border-b-(--line) px-2.5 py-1.5">
          {section.below.map(({ page, title }) => (
            <span key={page.id}>{title}</span>
          ))}
        </div>
      )}
    </div>
  );
}

/**
 * The readers' menu, for one kind of reader, wide and on a phone; with what is being carried where it would land.
 *
 * @param draft the site, with that
 */
export const MenuPreview = memo(function MenuPreview({ draft }: { draft: Draft }) {
  const { state, changeSite } = useSite();
  const { menu: manner, title, height, look } = state.site;
  const [reader, setReader] = useState<ReaderKey>('stranger');
  const { viewer, name } = readers.find(({ key }) => key === reader) ?? readers[0];
  const nodes = menuFor(asIfPublic(draft), viewer);
  const links = quickLinksInMenu(draft.site.quickLinks);
  const openTo = height === 'public' || (height === 'unlisted' && reader === 'link');
  return (
    <section aria-labelledby="menu-title" className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-2">
        <h2 id="menu-title" className="mr-auto text-l">
          The menu
        </h2>
        <Segments
          label="Whose menu"
          value={reader}
          options={readers.map(({ key, name: option }) => ({ value: key, name: option }))}
          onChange={setReader}
        />
      </div>
      <InTheme look={look}>
        <LookBox
          className="text-s [overflow-wrap:anywhere] text-(--ink) [font-family:var(--font-meta)]"
          role="group"
          aria-label={`The menu for ${name.toLowerCase()}`}
        >
          <div className="overflow-hidden border border-edge bg-(--paper)">
            {nodes.length === 0 ? (
              <p className="p-3">Nothing stands in it yet.</p>
            ) : (
              <Wide nodes={nodes} links={links} manner={manner} site={title} />
            )}
          </div>
        </LookBox>
        <div className="grid grid-cols-[minmax(0,1fr)_8.5rem] items-start gap-3">
          <div className="grid gap-2">
            <Segments
              label="How a wide page shows it"
              className="flex-col *:justify-start!"
              value={manner}
              options={menuManners.map((value) => ({ value, name: mannerNames[value] }))}
              onChange={(menu) => changeSite({ menu }, 'Manner of the menu')}
            />
            <p className="note">
              {openTo
                ? 'As it will be with the next publish.'
                : 'As it will be once the site is open to them.'}{' '}
              On a phone it folds behind one word.
            </p>
          </div>
          <LookBox
            className="max-h-52 overflow-hidden rounded-[10px] border-2 border-(--ink) bg-(--paper) px-2.5 pt-2 text-xs text-(--ink) [font-family:var(--font-meta)]"
            aria-hidden="true"
          >
            <p className="mb-1 flex justify-between">
              <b className="[font-family:var(--font-display)]">{title}</b> Close
            </p>
            <Names nodes={nodes} links={links} deep={false} />
          </LookBox>
        </div>
      </InTheme>
    </section>
  );
});
