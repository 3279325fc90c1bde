import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { Archive, ArrowLeft, ArrowRight, Copy, Ellipsis, GripVertical, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { createPage, deletePage } from '#contract/pages.ts';
import { evidenceAsked } from '#core/check/lists/evidence-asked.ts';
import { pageNeeds } from '#core/check/page-needs.ts';
import { effectiveHeight } from '#core/access/effective-height.ts';
import { materialsById } from '#core/materials/materials-by-id.ts';
import type { WorkPage } from '#core/pages/page.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { useUndoNotice } from '../../api/use-undo-notice.ts';
import { coverPicture } from '../../pages/cover-picture.ts';
import { Bow } from '../../ui/bow.tsx';
import { HeightChip } from '../../ui/height-control.tsx';
import { Menu, MenuItem } from '../../ui/menu.tsx';
import { useDeleting } from '../../ui/use-deleting.tsx';
import { MaterialPicture } from '../../ui/material-picture.tsx';
import { needsInWords } from './need-words.ts';
import { PageState } from '../../ui/page-state.tsx';
import { notice } from '../../ui/notice.ts';
import { IconButton } from '../../ui/icon-button.tsx';

interface HangingProps {
  page: WorkPage;
  /** Moves it among the others by so many places; null where it stands at the end, or they stand in groups. */
  onEarlier: (() => void) | null;
  onLater: (() => void) | null;
  /** The cord of its row, when it is the first of it. */
  cord: ReactNode;
}

/** One project on the board: its cover, its state in words, and what it still needs. */
export function Hanging({ page, onEarlier, onLater, cord }: HangingProps) {
  const { state, run, changePage } = useSite();
  const movable = onEarlier !== null || onLater !== null;
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({
    id: page.id,
    disabled: !movable,
  });
  const site = state.site.id;
  const materials = materialsById(state.materials);
  const cover = coverPicture(page, state.materials);
  const focus = cover?.focus;
  const to = page.id;
  const navigate = useNavigate();
  const undoNotice = useUndoNotice();
  const evidence = evidenceAsked(state.site);
  const needs = pageNeeds(page, materials, evidence.count);
  const copy = async () => {
    const made = await run(() =>
      call(createPage, { params: { site }, body: { title: '', materials: [], copyOf: page.id } }),
    );
    if (!made) return;
    notice('This is the copy. It is Private until you raise it.');
    void navigate(made.page);
  };
  const putAway = () => {
    changePage(page.id, { archived: true }, `${page.title || 'Project'} put away`, `${page.id} archived`);
    undoNotice('Put away; nobody can open it once that is saved. The list below has it.');
  };
  const deleting = useDeleting();
  const remove = () =>
    deleting.ask([page.id], page.title || 'this project', async (readers) => {
      const gone = await run(() => call(deletePage, { params: { site, page: page.id }, body: { readers } }));
      if (gone)
        undoNotice(
          readers === 'now'
            ? `${page.title || 'The project'} is deleted, and closed to readers. Undo brings it back as a draft.`
            : `${page.title || 'The project'} is deleted.`,
        );
    });
  return (
    <li
      ref={setNodeRef}
      className="hang relative"
      style={{ transform: CSS.Translate.toString(transform), transition: transition ?? undefined }}
    >
      {cord}
      {deleting.dialog}
      <Link
        to={to}
        className="cover mb-2.5 block h-42 w-full bg-raised p-1.5 shadow-2"
        tabIndex={-1}
        aria-hidden="true"
      >
        <Bow className="peg" />
        {cover ? (
          <span
            className="block h-full"
            style={focus && ({ '--focus-at': `${focus.x * 100}% ${focus.y * 100}%` } as React.CSSProperties)}
          >
            <MaterialPicture
              material={cover.picture}
              alt=""
              className="h-full w-full object-cover object-(--focus-at)"
            />
          </span>
        ) : (
          <span className="grid h-full place-items-center bg-sunk text-ink-3">No picture yet</span>
        )}
      </Link>
      <div className="flex items-start gap-2">
        <h2 className="min-w-0 flex-1 text-[1.0625rem] leading-6">
          <Link to={to} className="text-ink no-underline hover:underline">
            {pageName(page)}
          </Link>
        </h2>
        {movable && (
          <IconButton
            small
            className="cursor-grab touch-none"
            label={`Move ${page.title || 'this project'}`}
            {...attributes}
            {...listeners}
          >
            <GripVertical size={16} aria-hidden="true" />
          </IconButton>
        )}
        <Menu
          align="end"
          opener={
            <IconButton small label={`More for ${page.title || 'this project'}`}>
              <Ellipsis size={18} aria-hidden="true" />
            </IconButton>
          }
        >
          {onEarlier && <MenuItem icon={ArrowLeft} name="Hang it earlier" onSelect={onEarlier} />}
          {onLater && <MenuItem icon={ArrowRight} name="Hang it later" onSelect={onLater} />}
          <MenuItem
            icon={Copy}
            name="Copy"
            note="A second project with the same words and pictures, Private"
            onSelect={() => void copy()}
          />
          <MenuItem
            icon={Archive}
            name="Put away"
            note="Closed to everybody at once, and off this wall; nothing is deleted"
            onSelect={putAway}
          />
          <MenuItem
            icon={Trash2}
            name="Delete"
            note="Undo brings it back; its pictures stay in Gather"
            onSelect={() => void remove()}
          />
        </Menu>
      </div>
      <p className="line-clamp-2 text-[0.8125rem] leading-[1.125rem] text-ink-2">
        {page.summary || 'No one-line summary yet.'}
      </p>
      <p className="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1">
        <PageState page={page} />
        <HeightChip effective={effectiveHeight(state, { page: page.id })} />
      </p>
      <p className="note mt-1">{needsInWords(needs, evidence.list !== null)}</p>
    </li>
  );
}
