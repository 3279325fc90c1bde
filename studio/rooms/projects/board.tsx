import { arrayMove, rectSortingStrategy } from '@dnd-kit/sortable';
import { type CSSProperties, type ReactNode, useCallback, useState } from 'react';
import { groupProjects, type ProjectGrouping } from '#core/pages/group-projects.ts';
import type { WorkPage } from '#core/pages/page.ts';
import { useSite } from '../../api/site-context.tsx';
import { Sortable } from '../../ui/sortable.tsx';
import { Hanging } from './hanging.tsx';

/** A cord across the board, from which one row hangs. */
function Cord() {
  return (
    <svg
      className="absolute [--beyond:16px] left-[calc(-1_*_var(--beyond))] -top-[7px] w-[calc(100%_*_var(--columns)_+_24px_*_(var(--columns)_-_1)_+_2_*_var(--beyond))] h-6.5 pointer-events-none md:[--beyond:24px]"
      viewBox="0 0 1000 26"
      preserveAspectRatio="none"
      aria-hidden="true"
    >
      <path
        d="M0 4c200 14 320 14 520 12S840 14 1000 4"
        fill="none"
        stroke="var(--string)"
        strokeWidth="1.6"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}

const unnamed: Record<ProjectGrouping, string> = {
  none: '',
  year: 'No year given',
  course: 'Made for nobody in particular',
};

/** How many things stand beside each other in a grid that fits itself to the room. */
function useColumns(): [number, (grid: HTMLElement | null) => (() => void) | undefined] {
  const [columns, setColumns] = useState(1);
  const watch = useCallback((grid: HTMLElement | null) => {
    if (!grid) return undefined;
    const count = () => setColumns(getComputedStyle(grid).gridTemplateColumns.split(' ').length);
    const observer = new ResizeObserver(count);
    observer.observe(grid);
    count();
    return () => observer.disconnect();
  }, []);
  return [columns, watch];
}

interface BoardProps {
  /** In the order they hang. */
  projects: readonly WorkPage[];
  by: ProjectGrouping;
  /** After the last one; gets the cord when it begins a row. */
  end: (cord: ReactNode) => ReactNode;
}

/** The projects on their cords: in one order that readers get too, or in groups to look through. */
export function Board({ projects, by, end }: BoardProps) {
  const { changeSite } = useSite();
  const ids = projects.map(({ id }) => id);
  const move = (from: number, to: number) => {
    const page = projects[from];
    if (!page || to < 0 || to >= projects.length || from === to) return;
    const wallOrder = arrayMove([...ids], from, to);
    changeSite({ wallOrder }, `Place of ${page.title || 'a project'} on the front page`);
  };
  const [columns, watchColumns] = useColumns();
  const groups = groupProjects(projects, by);
  return (
    <Sortable
      ids={ids}
      nameOf={(at) => projects[at]?.title ?? ''}
      onMove={move}
      strategy={rectSortingStrategy}
      disabled={by !== 'none'}
    >
      {groups.map(({ name, projects: members }, group) => (
        <section
          key={name}
          className="board-group [&+&]:mt-9"
          aria-label={by === 'none' ? 'All projects' : undefined}
        >
          {by !== 'none' && <h2 className="board-head mb-2 text-l">{name || unnamed[by]}</h2>}
          <ul
            className="grid grid-cols-[repeat(auto-fill,minmax(min(100%,236px),1fr))] gap-x-6 gap-y-8.5 pt-[7px]"
            ref={group === 0 ? watchColumns : undefined}
            style={{ '--columns': columns } as CSSProperties}
          >
            {members.map((page, place) => {
              const at = ids.indexOf(page.id);
              const free = by === 'none';
              return (
                <Hanging
                  key={page.id}
                  page={page}
                  cord={place % columns === 0 ? <Cord /> : null}
                  onEarlier={free && at > 0 ? () => move(at, at - 1) : null}
                  onLater={free && at < ids.length - 1 ? () => move(at, at + 1) : null}
                />
              );
            })}
            {group === groups.length - 1 && end(members.length % columns === 0 ? <Cord /> : null)}
          </ul>
        </section>
      ))}
    </Sortable>
  );
}
