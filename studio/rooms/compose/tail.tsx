import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical, Plus } from 'lucide-react';
import { memo } from 'react';
import { movedPart, standingBeside } from '#core/parts/beside.ts';
import type { Material } from '#core/materials/material.ts';
import type { ShownPage } from '#core/pages/page.ts';
import type { Part } from '#core/parts/parts.ts';
import { useSite } from '../../api/site-context.tsx';
import { Bow } from '../../ui/bow.tsx';
import { Sortable } from '../../ui/sortable.tsx';
import { useShared } from '../../ui/use-shared.ts';
import type { ComposeActions } from './composed-part.tsx';
import { editedSince, legend, openingState, partState, type PartState } from '../../parts/part-state.ts';
import { settingsOf } from '../../parts/parts.ts';

function Sign({ state }: { state: PartState }) {
  return (
    <svg
      width="14"
      height="14"
      viewBox="0 0 14 14"
      {...(state.words ? { role: 'img', 'aria-label': state.words } : { 'aria-hidden': true })}
    >
      {state.words && <title>{state.words}</title>}
      {state.sign === 'fine' && <circle cx="7" cy="7" r="4" fill="var(--meadow)" />}
      {state.sign === 'edited' && (
        <path
          d="M7 1.6 12.4 7 7 12.4 1.6 7Z"
          fill="var(--straw)"
          stroke="var(--straw-ink)"
          strokeWidth="0.8"
        />
      )}
      {state.sign === 'empty' && (
        <circle cx="7" cy="7" r="4.2" fill="none" stroke="var(--ink-3)" strokeWidth="1.5" />
      )}
      {state.sign === 'needs' && (
        <circle
          cx="7"
          cy="7"
          r="4.2"
          fill="none"
          stroke="var(--clay)"
          strokeWidth="2"
          strokeDasharray="3 2"
        />
      )}
    </svg>
  );
}

/** What can be done from a line of the tail; the same functions at each drawing. */
type BowActions = Pick<ComposeActions, 'show' | 'moveBy'> & { remove: (part: string) => void };

interface TailProps {
  page: ShownPage;
  materials: readonly Material[];
  selected: string | null;
  actions: BowActions;
  onOrder: (parts: Part[], moved: string) => void;
  /** Opens the line at the end of the page. */
  onTie: () => void;
}

const lineLook =
  'bow-line grid min-h-10.5 w-full grid-cols-[26px_auto_1fr_14px] items-center gap-[7px] rounded-m pr-2 whitespace-nowrap focus-visible:shadow-(--ring) compact:min-h-11 short:compact:min-h-8 compact:grid-cols-[26px_auto_14px]';
const detailLook = 'truncate text-xs text-ink-3 compact:hidden';

const PartBow = memo(function PartBow({
  part,
  at,
  materials,
  selected,
  beside,
  edited,
  actions,
}: {
  part: Part;
  at: number;
  materials: readonly Material[];
  selected: boolean;
  /** It stands beside the one before it. */
  beside: boolean;
  /** Readers see an older state of it. */
  edited: boolean;
  actions: BowActions;
}) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: part.id });
  const state = partState(part, materials, edited);
  return (
    <li
      ref={setNodeRef}
      className={`group relative ${selected ? 'sel' : ''}`}
      style={{ transform: CSS.Transform.toString(transform), transition: transition ?? undefined }}
    >
      <button
        type="button"
        className={`${lineLook} ${selected ? 'bg-raised shadow-1' : 'hover:bg-sunk'} ${beside ? 'pl-5.5' : 'pl-2'}`}
        aria-current={selected || undefined}
        onClick={() => actions.show(part.id)}
        onKeyDown={(event) => {
          if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
            event.preventDefault();
            actions.moveBy(part.id, event.key === 'ArrowUp' ? -1 : 1);
          } else if (event.key === 'Delete') {
            event.preventDefault();
            actions.remove(part.id);
          } else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
            event.preventDefault();
            const lines = [
              ...(event.currentTarget.closest('ol')?.querySelectorAll<HTMLElement>('.bow-line') ?? []),
            ];
            lines[lines.indexOf(event.currentTarget) + (event.key === 'ArrowUp' ? -1 : 1)]?.focus();
          }
        }}
      >
        <Bow chosen={selected} className={at % 2 ? 'rotate-7' : '-rotate-7'} />
        <b className="font-semibold">{settingsOf(part).name}</b>
        <span className={detailLook}>
          {[beside && 'beside it', settingsOf(part).detail(part)].filter(Boolean).join(', ')}
        </span>
        <Sign state={state} />
        {selected && state.sign === 'needs' && (
          <span className="col-[2/-1] -mt-1.5 pb-1.5 text-start text-xs whitespace-normal text-clay compact:hidden">
            {state.words}
          </span>
        )}
      </button>
      <button
        type="button"
        className={`absolute top-[9px] -left-[13px] grid size-6 cursor-grab touch-none place-items-center text-ink-3 group-hover:opacity-100 focus-visible:opacity-100 compact:hidden ${selected ? '' : 'opacity-0'}`}
        aria-label={`Move ${settingsOf(part).name}, part ${at + 1}`}
        {...attributes}
        {...listeners}
      >
        <GripVertical size={16} aria-hidden="true" />
      </button>
    </li>
  );
});

/** The outline of a page, drawn as a kite's tail: a bow for each part, in the order of the page. */
export function Tail(props: TailProps) {
  const { page, materials, selected, actions, onOrder, onTie } = props;
  const { live } = useSite().state;
  const waits = live.waiting.find((one) => one.page === page.id);
  const isLive = live.release !== null && waits?.kind !== 'added';
  const { parts } = page;
  const coarseOpening = openingState(page.opening, materials);
  const beside = standingBeside(parts);
  const ids = useShared(parts.map(({ id }) => id));
  const move = (from: number, to: number) => {
    const part = parts[from];
    if (part && to >= 0 && to < parts.length) onOrder(movedPart(parts, from, to), part.id);
  };
  return (
    <nav
      className="tail relative flex flex-col overflow-auto pt-3 pr-2 pb-2.5 pl-3.5 compact:overflow-x-auto compact:border-b compact:border-b-line compact:px-2 compact:py-1 short:compact:py-0"
      aria-label="Parts of this page"
    >
      <svg
        className="absolute left-7 -top-2 w-3.5 h-[calc(100%_-_60px)] pointer-events-none compact:hidden"
        viewBox="0 0 20 520"
        preserveAspectRatio="none"
        aria-hidden="true"
      >
        <path
          d="M10 0c-6 30 6 60 0 90s6 50 0 80-6 60 0 90 6 60 0 90-6 60 0 90 4 50 0 80"
          fill="none"
          stroke="var(--string)"
          strokeWidth="1.6"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      <Sortable
        ids={ids}
        nameOf={(at) => (parts[at] ? `${settingsOf(parts[at]).name}, part ${at + 1}` : '')}
        onMove={move}
      >
        <ol className="relative compact:flex">
          <li className={`relative ${selected === 'opening' ? 'sel' : ''}`}>
            <button
              type="button"
              className={`${lineLook} pl-2 ${selected === 'opening' ? 'bg-raised shadow-1' : 'hover:bg-sunk'}`}
              aria-current={selected === 'opening' || undefined}
              onClick={() => actions.show('opening')}
            >
              <Bow chosen={selected === 'opening'} className="-rotate-7" />
              <b className="font-semibold">Opening</b>
              <span className={detailLook}>
                {page.opening.pictures.length === 0
                  ? 'words'
                  : page.opening.layout === 'full'
                    ? 'full picture'
                    : page.opening.layout}
              </span>
              {coarseOpening ? (
                <Sign state={coarseOpening} />
              ) : (
                isLive && waits?.opening && <Sign state={editedSince} />
              )}
              {selected === 'opening' && coarseOpening && (
                <span className="col-[2/-1] -mt-1.5 pb-1.5 text-start text-xs whitespace-normal text-clay compact:hidden">
                  {coarseOpening.words}
                </span>
              )}
            </button>
          </li>
          {parts.map((part, at) => (
            <PartBow
              key={part.id}
              part={part}
              at={at}
              materials={materials}
              selected={selected === part.id}
              beside={typeof beside[at] === 'number'}
              edited={isLive && (waits?.parts.includes(part.id) ?? false)}
              actions={actions}
            />
          ))}
        </ol>
      </Sortable>
      <button
        type="button"
        className="relative grid min-h-10 grid-cols-[26px_1fr] items-center justify-items-start gap-[7px] rounded-m px-2 text-s text-ink-2 hover:bg-sunk compact:hidden"
        onClick={onTie}
      >
        <Plus className="justify-self-center bg-paper" size={14} aria-hidden="true" />
        <span>Add something at the end</span>
      </button>
      <div className="note relative mt-auto border-t border-t-line bg-paper px-2 pt-2.5 compact:hidden">
        <ul
          className="mb-1.5 grid grid-cols-[auto_auto] gap-x-2 text-xs whitespace-nowrap"
          aria-label="What the signs mean"
        >
          {legend.map((state) => (
            <li key={state.sign} className="flex min-h-5 items-center gap-1.5">
              <Sign state={{ ...state, words: '' }} />
              {state.words}
            </li>
          ))}
        </ul>
        <p>
          <span className="kbd">Alt</span> <span className="kbd">↑</span> <span className="kbd">↓</span> moves
          a part, <span className="kbd">Del</span> takes it off
        </p>
      </div>
    </nav>
  );
}
