import { useSpoken } from '../render/words.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import type { MenuLink, PageInput } from '../render/page-input.ts';

/** The element that the button folds out; there is one on a page. */
const listId = 'site-menu';

/** One line, and those below it. */
export function Item({ link, to }: { link: MenuLink; to: (path: string) => string }) {
  const { words } = useSpoken();
  const { title, path, outside, current, below } = link;
  return (
    <li className={current ? 'here' : undefined}>
      {outside ? (
        <a href={outside.to} {...(outside.newWindow && { target: '_blank', rel: 'noopener' })}>
          {title}
          {outside.newWindow && <span className="unseen">{` (${words.newWindow})`}</span>}
        </a>
      ) : path === null ? (
        <span className="heading">{title}</span>
      ) : (
        <a href={to(path)} aria-current={current === 'page' ? 'page' : current ? 'true' : undefined}>
          {title}
        </a>
      )}
      {below.length > 0 && (
        <ul>
          {below.map((one, at) => (
            <Item key={at} link={one} to={to} />
          ))}
        </ul>
      )}
    </li>
  );
}

/**
 * The site's name and its menu: one nested list, shown in the manner the site asks for. On a narrow page, and in the manner
 * `word` on every page, it is folded behind a word with the browser's own popover and without a script; where a
 * browser has none, the list stands open.
 */
export function SiteMenu({ input, within }: { input: PageInput; within: boolean }) {
  const { words, lang, frame } = useSpoken();
  const { home, toRoot, siteTitle, menu, page } = input;
  const to = (path: string) => toRoot + path || './';
  const [only] = menu;
  const isAlone = menu.length < 2 && !only?.below.length;
  return (
    <header className="top-line" {...frame}>
      <div className="top">
        {home === null || (rulesOfPage(page).isFront && isAlone) ? (
          <span className="name">{siteTitle}</span>
        ) : (
          <a className="name" href={to(home)}>
            {siteTitle}
          </a>
        )}
        {!isAlone && (
          <>
            {/* In the studio the page is only shown: its menu does not cover the room. */}
            <button
              className="fold"
              type="button"
              {...lang}
              {...(within ? { disabled: true } : { popoverTarget: listId })}
            >
              {words.menu}
            </button>
            <nav
              className="menu"
              aria-label={words.site}
              {...(!within && { id: listId, popover: 'auto' as const })}
            >
              <button
                className="shut"
                type="button"
                {...lang}
                {...(!within && { popoverTarget: listId, popoverTargetAction: 'hide' as const })}
              >
                {words.close}
              </button>
              <ul>
                {menu.map((link, at) => (
                  <Item key={at} link={link} to={to} />
                ))}
              </ul>
            </nav>
          </>
        )}
      </div>
    </header>
  );
}

/** Where the menu is a line: what stands beside this page in its part of the site, on a second line. */
export function SectionLine({ input }: { input: PageInput }) {
  const { frame } = useSpoken();
  const { menu, manner, toRoot } = input;
  const section = menu.find(({ current }) => current !== null);
  if (manner !== 'line' || !section || section.below.length === 0) return null;
  const flat = { ...section, below: section.below.map((one) => ({ ...one, below: [] })) };
  return (
    <nav className="section-line" {...frame} aria-label={section.title}>
      <ul className="wrap">
        {flat.below.map((link, at) => (
          <Item key={at} link={link} to={(path) => toRoot + path || './'} />
        ))}
      </ul>
    </nav>
  );
}

/** What stands below this page, or beside a tag, under its title. */
export function PagesBelow({ input }: { input: PageInput }) {
  const { below, belowLabel, toRoot } = input;
  if (below.length === 0) return null;
  return (
    <nav className="below wrap" aria-label={belowLabel}>
      <ul>
        {below.map((link, at) => (
          <Item key={at} link={link} to={(path) => toRoot + path || './'} />
        ))}
      </ul>
    </nav>
  );
}
