import {
  ArrowDown,
  ArrowUp,
  Columns2,
  Copy,
  CornerUpRight,
  Ellipsis,
  Layers2,
  Rows2,
  Trash2,
} from 'lucide-react';
import type { ReactNode } from 'react';
import type { EffectiveHeight } from '#core/access/effective-height.ts';
import type { Height } from '#core/access/height.ts';
import type { Page } from '#core/pages/page.ts';
import type { Part } from '#core/parts/parts.ts';
import { takesMore } from '#core/parts/with-materials.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { Menu, MenuItem, MenuLabel } from '../../ui/menu.tsx';
import { HeightRow } from '../../ui/height-control.tsx';
import { settingsOf } from '../../parts/parts.ts';
import { useDropPlace } from './use-drop-place.ts';

interface PartFrameProps {
  part: Part;
  at: number;
  count: number;
  selected: boolean;
  effective: EffectiveHeight;
  /** Tools of this kind of part, shown while it is selected. */
  tools?: ReactNode;
  /** Below the part while it is selected. */
  panel?: ReactNode;
  children: ReactNode;
  onSelect: (at: { x: number; y: number } | null) => void;
  onMove: (by: number) => void;
  onRemove: () => void;
  onHeight: (height: Height) => void;
  onCopy: () => void;
  onGround: () => void;
  /** It stands beside the part before it. */
  isBeside: boolean;
  mayBeBeside: boolean;
  onBeside: (isBeside: boolean) => void;
  /** Pages it can be moved to. */
  others: readonly Pick<Page, 'id' | 'title' | 'kind'>[];
  onMoveTo: (page: string) => void;
}

/** One part on the page: a frame when it is selected, and a way in when it is not. */
export function PartFrame(props: PartFrameProps) {
  const {
    part,
    at,
    count,
    selected,
    effective,
    tools,
    panel,
    children,
    onSelect,
    onMove,
    onRemove,
    onHeight,
    onCopy,
    onGround,
    isBeside,
    mayBeBeside,
    onBeside,
    others,
    onMoveTo,
  } = props;
  const { place } = useDropPlace(`part ${part.id}`, takesMore(part));
  const name = settingsOf(part).name;
  return (
    <div
      {...place}
      id={`part-${part.id}`}
      className={`part framed-part group/part relative flow-root ${selected ? 'sel' : ''}`}
      data-kind={part.kind}
    >
      {selected && (
        <div
          className="studio-ui sticky -top-3.5 z-6 flex flex-wrap items-center gap-px -mt-3 mb-3.5 mx-(--frame) min-h-9.5 bg-raised shadow-2 rounded-[0_var(--r-m)_var(--r-m)_0] pr-1 compact:-top-2"
          role="toolbar"
          aria-label={`${name} tools`}
        >
          <span className="self-stretch grid items-center bg-vermilion text-[#fffdf8] font-text font-strong text-[13px] leading-9.5 py-0 pr-5 pl-3 [clip-path:polygon(0_0,_100%_0,_calc(100%_-_9px)_50%,_100%_100%,_0_100%)] mr-0.5">
            {name}
          </span>
          {tools}
          <span className="ml-auto flex items-center">
            <HeightRow
              effective={effective}
              of={`this ${name.toLowerCase()} part`}
              onChange={onHeight}
              compact
            />
            <button
              type="button"
              className="tool"
              aria-label="Move up"
              disabled={at === 0}
              onClick={() => onMove(-1)}
            >
              <ArrowUp size={17} aria-hidden="true" />
            </button>
            <button
              type="button"
              className="tool"
              aria-label="Move down"
              disabled={at === count - 1}
              onClick={() => onMove(1)}
            >
              <ArrowDown size={17} aria-hidden="true" />
            </button>
            <Menu
              align="end"
              opener={
                <button
                  type="button"
                  className="tool"
                  aria-label={`More for this ${name.toLowerCase()} part`}
                >
                  <Ellipsis size={17} aria-hidden="true" />
                </button>
              }
            >
              <MenuItem icon={Copy} name="Copy it below" onSelect={onCopy} />
              <MenuItem icon={Layers2} name="What it lies on" onSelect={onGround} />
              {isBeside ? (
                <MenuItem icon={Rows2} name="Below the part above" onSelect={() => onBeside(false)} />
              ) : (
                mayBeBeside && (
                  <MenuItem icon={Columns2} name="Beside the part above" onSelect={() => onBeside(true)} />
                )
              )}
              {others.length > 0 && <MenuLabel>Move it to</MenuLabel>}
              {others.map((page) => (
                <MenuItem
                  key={page.id}
                  icon={CornerUpRight}
                  name={pageName(page)}
                  onSelect={() => onMoveTo(page.id)}
                />
              ))}
            </Menu>
            <button
              type="button"
              className="tool"
              aria-label={`Take this ${name.toLowerCase()} part off`}
              onClick={onRemove}
            >
              <Trash2 size={17} aria-hidden="true" />
            </button>
          </span>
        </div>
      )}
      {children}
      {!selected && (
        <button
          type="button"
          className="studio-ui part-pick absolute inset-x-(--frame) -inset-y-2.5 block cursor-pointer group-data-[kind=words]/part:cursor-text hover:outline-1 hover:outline-[#14302f99] hover:outline-dashed"
          aria-label={`Edit ${name}, part ${at + 1} of ${count}`}
          onClick={(event) => onSelect(event.detail > 0 ? { x: event.clientX, y: event.clientY } : null)}
        >
          {effective.height !== 'public' && effective.chosen !== 'public' && (
            <span className="absolute top-0 right-0 bg-straw-wash text-straw-ink font-text font-firm text-xs leading-none py-[5px] px-2">
              {name} flies lower
            </span>
          )}
        </button>
      )}
      {selected && panel && (
        <div className="studio-ui part-panel mx-(--frame) mt-3.5 -mb-3 border-t border-t-line bg-raised p-3.5">
          {panel}
        </div>
      )}
    </div>
  );
}
