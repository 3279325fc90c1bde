import { arrayMove, rectSortingStrategy, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ArrowLeft, ArrowRight, Ellipsis, EyeOff } from 'lucide-react';
import { memo } from 'react';
import { effectiveHeight } from '#core/access/effective-height.ts';
import { isWork, type WorkPage } from '#core/pages/page.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { flatTree, pageTree } from '#core/pages/page-tree.ts';
import { wallArrangements } from '#core/sites/wall-arrangement.ts';
import { inWallOrder } from '#core/pages/wall-order.ts';
import { useSite } from '../../api/site-context.tsx';
import { wallNames } from '../../ui/arrangement-names.ts';
import { Button } from '../../ui/button.tsx';
import { heightNames } from '../../ui/height-names.ts';
import { IconButton } from '../../ui/icon-button.tsx';
import { Menu, MenuItem } from '../../ui/menu.tsx';
import { Segments } from '../../ui/segments.tsx';
import { Sortable } from '../../ui/sortable.tsx';
import { Cover } from './slip.tsx';
import { WallLooks } from './wall-looks.tsx';
import { Welcome } from './welcome.tsx';

function Hung({
  page,
  at,
  onMove,
  onTakeOff,
}: {
  page: WorkPage;
  at: number;
  onMove: (by: -1 | 1) => void;
  onTakeOff: () => void;
}) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: page.id });
  const name = pageName(page);
  return (
    <li
      ref={setNodeRef}
      className="relative min-w-0"
      style={{ transform: CSS.Translate.toString(transform), transition: transition ?? undefined }}
    >
      <button
        type="button"
        className="block w-full cursor-grab touch-none"
        aria-label={`Move ${name}`}
        {...attributes}
        {...listeners}
      >
        <Cover page={page} className="aspect-4/3 w-full shadow-1" />
      </button>
      <span
        className="absolute top-1 left-1 grid size-5.5 place-items-center rounded-full bg-vermilion text-xs font-strong text-raised"
        aria-hidden="true"
      >
        {at + 1}
      </span>
      <span className="flex items-center">
        <span className="min-w-0 flex-1 truncate text-s">{name}</span>
        <Menu
          align="end"
          opener={
            <IconButton small label={`More for ${name} on the front page`}>
              <Ellipsis size={16} aria-hidden="true" />
            </IconButton>
          }
        >
          <MenuItem icon={ArrowLeft} name="Earlier" onSelect={() => onMove(-1)} />
          <MenuItem icon={ArrowRight} name="Later" onSelect={() => onMove(1)} />
          <MenuItem icon={EyeOff} name="Take it off the front page" onSelect={onTakeOff} />
        </Menu>
      </span>
    </li>
  );
}

/** What hangs on the front page, in its own order, and what does not and why. */
export const FrontWall = memo(function FrontWall() {
  const { state, changeSite } = useSite();
  const { offWall } = state.site;
  const work = flatTree(pageTree(state.pages))
    .map(({ page }) => page)
    .filter(isWork)
    .filter(({ archived }) => !archived);
  const off = new Set(offWall);
  const hung = inWallOrder(
    work.filter(({ id }) => !off.has(id)),
    state.site,
  );
  const ids = hung.map(({ id }) => id);
  const move = (from: number, to: number) => {
    const page = hung[from];
    if (page && to >= 0 && to < ids.length)
      changeSite({ wallOrder: arrayMove(ids, from, to) }, `Place of ${pageName(page)} on the front page`);
  };
  const takenOff = work.filter(({ id }) => off.has(id));
  const unseen = hung.filter((page) => page.title.trim() === '');
  const lower = hung.filter(({ id, title }) => {
    const { height, chosen, heldBy } = effectiveHeight(state, { page: id });
    return title.trim() !== '' && (heldBy?.kind === 'site' ? chosen : height) !== 'public';
  });
  return (
    <section aria-labelledby="wall-title" className="grid gap-3">
      <h2 id="wall-title" className="text-l">
        Front-page wall
      </h2>
      <Segments
        label="How the front page hangs"
        value={state.site.wall}
        options={wallArrangements.map((value) => ({ value, name: wallNames[value] }))}
        onChange={(wall) => changeSite({ wall }, 'How the front page hangs')}
      />
      <WallLooks />
      {hung.length === 0 ? (
        <p className="note">No project hangs on it yet.</p>
      ) : (
        <Sortable
          ids={ids}
          nameOf={(at) => (hung[at] ? pageName(hung[at]) : '')}
          onMove={move}
          strategy={rectSortingStrategy}
        >
          <ol className="grid grid-cols-3 gap-x-2.5 gap-y-2 border border-edge bg-raised p-2.5">
            {hung.map((page, at) => (
              <Hung
                key={page.id}
                page={page}
                at={at}
                onMove={(by) => move(at, at + by)}
                onTakeOff={() =>
                  changeSite({ offWall: [...offWall, page.id] }, `${pageName(page)} taken off the front page`)
                }
              />
            ))}
          </ol>
        </Sortable>
      )}
      {lower.length + unseen.length > 0 && (
        <p className="note">
          <b className="text-ink">Strangers do not get:</b>{' '}
          {[
            ...lower.map((page) => {
              const { height } = effectiveHeight(state, { page: page.id });
              return `${pageName(page)} (${heightNames[height]})`;
            }),
            ...unseen.map((page) => `${pageName(page)} (no name yet)`),
          ].join(', ')}
        </p>
      )}
      {takenOff.length > 0 && (
        <ul className="grid gap-1" aria-label="Taken off the front page">
          {takenOff.map((page) => (
            <li key={page.id} className="flex items-center gap-2">
              <span className="min-w-0 flex-1 truncate">{pageName(page)}</span>
              <Button
                small
                onClick={() =>
                  changeSite(
                    { offWall: offWall.filter((id) => id !== page.id) },
                    `${pageName(page)} hung on the front page`,
                  )
                }
              >
                Hang it<span className="sr-only"> on the front page: {pageName(page)}</span>
              </Button>
            </li>
          ))}
        </ul>
      )}
      <Welcome />
    </section>
  );
});
