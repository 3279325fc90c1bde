import { ChevronDown, ChevronRight, GripVertical } from 'lucide-react';
import { type CSSProperties, memo } from 'react';
import { useDraggable } from '@dnd-kit/core';
import equal from 'fast-deep-equal';
import { Link } from 'react-router';
import { effectiveHeight } from '#core/access/effective-height.ts';
import type { Id } from '#core/id.ts';
import { isShown, isWork, type Page, shownOn } from '#core/pages/page.ts';
import { pageName, rulesOfPage } from '#core/pages/page-kinds.ts';
import { plural } from '#core/words/plural.ts';
import { useSite } from '../../api/site-context.tsx';
import { coverPicture } from '../../pages/cover-picture.ts';
import { holderName, HeightRow } from '../../ui/height-control.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { MaterialPicture } from '../../ui/material-picture.tsx';
import { PageState } from '../../ui/page-state.tsx';
import { kindSigns } from './kind-words.ts';
import { RowString, type Tie } from './row-string.tsx';
import { SlipMenu, type SlipActions } from './slip-menu.tsx';

const host = (address: string): string =>
  URL.canParse(address) ? new URL(address).host : 'leads nowhere yet';

const ties: Partial<Record<Page['kind'], Tie>> = { heading: 'knot', link: 'ring' };
export const tieOf = ({ kind }: Page): Tie => ties[kind] ?? 'bow';

/** What a slip says of its page beside the name. */
function noteOf(page: Page, below: readonly Page[]): string {
  const work = below.filter(isWork).length;
  switch (page.kind) {
    case 'home':
      return 'the way in';
    case 'project':
      return below.length > 0 ? plural(below.length, 'page') + ' below' : '';
    case 'group':
      return work === below.length
        ? plural(work, 'project')
        : `${plural(work, 'project')}, ${plural(below.length - work, 'page')}`;
    case 'heading':
      return 'heading, no page';
    case 'link':
      return host(page.leadsTo);
    default:
      return page.title.trim() === '' ? '' : rulesOfPage(page).name.toLowerCase();
  }
}

/** A page's cover, small; nothing where it has none. */
export function Cover({ page, className }: { page: Page; className: string }) {
  const { state } = useSite();
  const shown = shownOn(page);
  const cover = coverPicture(shown, state.materials);
  if (!cover) return <span className={`${className} grid place-items-center bg-sunk`} />;
  const { picture, focus } = cover;
  return (
    <span
      className={`${className} block overflow-hidden`}
      style={focus && ({ '--focus-at': `${focus.x * 100}% ${focus.y * 100}%` } as CSSProperties)}
    >
      <MaterialPicture
        material={picture}
        alt=""
        shows="sign"
        className="h-full w-full object-cover object-(--focus-at)"
      />
    </span>
  );
}

/** The covers of what stands in something folded, hung on a cord. */
function FoldedCord({ below }: { below: readonly Page[] }) {
  const work = below.filter(isWork);
  if (work.length === 0) return null;
  return (
    <span
      className="relative flex min-w-0 flex-1 items-start gap-2 overflow-hidden pt-1 pl-2"
      aria-hidden="true"
    >
      <svg className="absolute inset-x-0 top-0 h-3 w-full" preserveAspectRatio="none" viewBox="0 0 100 12">
        <path
          d="M0 2c30 8 60 8 100 2"
          fill="none"
          stroke="var(--string)"
          strokeWidth="1.4"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      {work.slice(0, 6).map((page) => (
        <Cover
          key={page.id}
          page={page}
          className="relative mt-1 h-7.5 w-10 flex-none bg-raised p-[2px] shadow-1"
        />
      ))}
      {work.length > 6 && <span className="note mt-2">and {work.length - 6} more</span>}
    </span>
  );
}

interface SlipProps extends SlipActions {
  page: Page;
  lines: readonly boolean[];
  first: boolean;
  /** What stands right below it. */
  below: readonly Page[];
  folded: boolean;
  onFold: (id: Id) => void;
  /** Whether a stranger's menu has it, in words. */
  inMenu: string;
  /** It was picked up: lifted where it is still at its place, dashed where it is being carried elsewhere. */
  held: 'lifted' | 'elsewhere' | null;
}

/** A page on the string: its name, who can open it, how far it is, whether the menu has it. */
function SlipOf({ page, lines, first, below, folded, onFold, inMenu, held, ...actions }: SlipProps) {
  const { state, changePage } = useSite();
  const { setNodeRef, listeners } = useDraggable({ id: page.id, disabled: rulesOfPage(page).isFront });
  const name = pageName(page);
  const effective = effectiveHeight(state, { page: page.id });
  const Sign = kindSigns[page.kind];
  const { isFront } = rulesOfPage(page);
  const isGroup = page.kind === 'group';
  const note = noteOf(page, below);
  const free = page.kind === 'heading' || page.kind === 'link';
  const title = `truncate font-strong text-ink no-underline hover:underline ${folded ? 'max-w-[70%] flex-none' : 'min-w-0'}`;
  return (
    <li ref={setNodeRef} className="arrange-row flex" data-page={page.id} aria-label={name}>
      <RowString lines={lines} tie={held ? 'quiet' : tieOf(page)} first={first} />
      <div
        className={`slip my-[3px] grid min-h-11 min-w-0 flex-1 items-center gap-x-2 gap-y-0.5 py-1 pr-1.5 ${page.kind === 'heading' ? 'bare' : ''} ${held ?? ''}`}
      >
        {isFront ? (
          <span className="w-7" />
        ) : (
          <IconButton
            small
            className="grip cursor-grab touch-none"
            label={`Move ${name}`}
            {...listeners}
            onClick={() => actions.onCarry(page.id)}
          >
            <GripVertical size={16} aria-hidden="true" />
          </IconButton>
        )}
        <span className="flex min-w-0 items-center gap-2">
          {below.length > 0 && (
            <IconButton
              small
              className="-ml-1 w-6!"
              label={folded ? `Unfold ${name}` : `Fold ${name}`}
              aria-expanded={!folded}
              onClick={() => onFold(page.id)}
            >
              {folded ? (
                <ChevronRight size={16} aria-hidden="true" />
              ) : (
                <ChevronDown size={16} aria-hidden="true" />
              )}
            </IconButton>
          )}
          {isWork(page) ? (
            <Cover page={page} className="h-8 w-11 flex-none shadow-1" />
          ) : (
            <Sign size={18} className="text-ink-2" aria-hidden="true" />
          )}
          {free ? (
            <button type="button" className={title} onClick={() => actions.onSettings(page.id)}>
              {name}
            </button>
          ) : (
            <Link
              to={`/${state.site.id}/projects/${page.id}`}
              className={`${title} ${isGroup ? 'text-[1.0625rem]' : ''}`}
            >
              {name}
            </Link>
          )}
          {note && (
            <small className="min-w-0 shrink-9 truncate text-s text-ink-2 max-xl:hidden">{note}</small>
          )}
          {folded && <FoldedCord below={below} />}
        </span>
        <span className="height flex min-w-0 items-center">
          <HeightRow
            compact
            effective={effective}
            of={name}
            onChange={(height) => changePage(page.id, { height }, `Height of ${name}`, `${page.id} height`)}
          />
          {effective.heldBy && effective.heldBy.kind !== 'site' && (
            <small className="truncate text-xs text-ink-2">held by {holderName(effective)}</small>
          )}
        </span>
        <span className="state">{isShown(page) && <PageState page={page} short />}</span>
        <span className="in-menu truncate text-s text-ink-2">
          <span className="sr-only">In the menu: </span>
          {inMenu}
        </span>
        <SlipMenu page={page} below={below.length} {...actions} />
      </div>
    </li>
  );
}

/** Drawn again only where something of it changed; strings are compared one by one. */
export const Slip = memo(SlipOf, (was, is) =>
  Object.entries(is).every(([name, value]) =>
    name === 'lines' ? equal(was.lines, value) : was[name as keyof SlipProps] === value,
  ),
);
