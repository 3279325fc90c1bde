import { memo, type ReactNode } from 'react';
import type { EffectiveHeight } from '#core/access/effective-height.ts';
import type { Page, ShownPage } from '#core/pages/page.ts';
import type { Part } from '#core/parts/parts.ts';
import type { Point } from '../../ui/drop-files.tsx';
import type { PartInPlaceProps } from '../../parts/part-settings.ts';
import { settingsOf } from '../../parts/parts.ts';
import { PartFrame } from './part-frame.tsx';
import type { PartSteps } from './use-parts.ts';

/** What can be done from a part; the same functions at each drawing. */
export interface ComposeActions {
  select: (part: string | null, at?: Point | null) => void;
  /** Selects a part and brings it into view. */
  show: (part: string) => void;
  moveBy: (part: string, by: number) => void;
  moveTo: (part: string, page: string) => void;
  /** Asks what it lies on. */
  lay: (part: string) => void;
  tieAfter: (part: string) => void;
  paste: (part: string, ...pasted: Parameters<PartInPlaceProps['onPaste']>) => void;
}

export interface ComposedPartProps {
  part: Part;
  at: number;
  count: number;
  effective: EffectiveHeight;
  isBeside: boolean;
  mayBeBeside: boolean;
  /** Readers get nothing of it yet. */
  bare: boolean;
  /** The part drawn as readers get it. */
  shown: ReactNode;
  /** Set while the part is selected; what is worked out for it then is not worked out for the others. */
  selected: {
    page: ShownPage;
    /** Where the click was that selected it. */
    clickedAt: Point | null;
    /** Pages it can be moved to. */
    others: readonly Page[];
  } | null;
  parts: PartSteps;
  actions: ComposeActions;
}

/** A part on the page being composed: as readers see it, with what its maker can do to it. */
export const ComposedPart = memo(function ComposedPart(props: ComposedPartProps) {
  const { part, at, count, bare, shown, selected, parts, actions } = props;
  const common = {
    part,
    at,
    count,
    selected: selected !== null,
    effective: props.effective,
    onSelect: (point: Point | null) => actions.select(part.id, point),
    onMove: (by: number) => actions.moveBy(part.id, by),
    isBeside: props.isBeside,
    mayBeBeside: props.mayBeBeside,
    onBeside: (isBeside: boolean) => parts.stand(part.id, isBeside ? 0.5 : null),
    onRemove: () => {
      parts.remove(part.id);
      actions.select(null);
    },
    onCopy: () => actions.show(parts.copy(part.id)),
    onGround: () => actions.lay(part.id),
    others: selected?.others ?? [],
    onMoveTo: (to: string) => actions.moveTo(part.id, to),
    onHeight: (height: Part['height']) => parts.change({ ...part, height }),
  };
  const { InPlace, Panel, Tools, empty } = settingsOf(part);
  const drawn = bare ? (
    <div className="wrap">
      <p className="border-[1.5px] border-dashed border-[#838984] p-4.5 text-[#4a564f] italic">
        {part.prompt ?? empty}
      </p>
    </div>
  ) : (
    shown
  );
  if (InPlace && selected)
    return (
      <InPlace
        part={part}
        at={selected.clickedAt}
        onChange={parts.change}
        onTie={() => actions.tieAfter(part.id)}
        onPaste={(...pasted) => actions.paste(part.id, ...pasted)}
      >
        {(tools, edited) => (
          <PartFrame {...common} tools={tools}>
            {edited ? <div className="on-grid words">{edited}</div> : drawn}
          </PartFrame>
        )}
      </InPlace>
    );
  return (
    <PartFrame
      {...common}
      tools={Tools && selected && <Tools part={part} />}
      panel={
        Panel &&
        selected && (
          <Panel
            part={part}
            page={selected.page}
            onChange={parts.change}
            onReplace={(by) => {
              parts.replace(part.id, by);
              actions.select(by[0]?.id ?? null);
            }}
          />
        )
      }
    >
      {drawn}
    </PartFrame>
  );
});
