import { memo, type ReactNode } from 'react';
import type { EffectiveHeight } from '#core/access/effective-height.ts';
import type { SeenPart } from '#core/access/seen-by.ts';
import type { Page } from '#core/content/page.ts';
import { isEmptyPart, type Part } from '#core/content/part.ts';
import type { Point } from '../../ui/drop-files.tsx';
import { GalleryHint } from './gallery-hint.tsx';
import { PartFrame } from './part-frame.tsx';
import { PartPanel } from './part-panel.tsx';
import { emptyWords } from './part-words.ts';
import type { PartSteps } from './use-parts.ts';
import { WordsEditor, type WordsEditorProps } from './words-editor.tsx';

/** What can be done from a part; the same functions at each drawing. */
export interface ComposeActions {
  select: (part: string | null, at?: Point | null) => void;
  /** Selects a part and brings it into view. */
  show: (part: string) => void;
  moveBy: (part: string, by: number) => void;
  moveTo: (part: string, page: string) => void;
  tieAfter: (part: string) => void;
  paste: (part: string, ...pasted: Parameters<WordsEditorProps['onPaste']>) => void;
}

export interface ComposedPartProps {
  part: Part;
  at: number;
  count: number;
  effective: EffectiveHeight;
  isBeside: boolean;
  mayBeBeside: boolean;
  /** The part as readers get it. */
  seen: SeenPart;
  /** That part drawn. */
  shown: ReactNode;
  /** Set while the part is selected; what is worked out for it then is not worked out for the others. */
  selected: {
    page: Page;
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
  const { part, at, count, seen, shown, selected, parts, actions } = props;
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
    others: selected?.others ?? [],
    onMoveTo: (to: string) => actions.moveTo(part.id, to),
    onHeight: (height: Part['height']) => parts.change({ ...part, height }),
  };
  if (part.kind === 'words' && selected)
    return (
      <WordsEditor
        text={part.text}
        at={selected.clickedAt}
        onPaste={(...pasted) => actions.paste(part.id, ...pasted)}
        onSlash={() => actions.tieAfter(part.id)}
        onChange={(text) => parts.change({ ...part, text })}
      >
        {(tools, words) => (
          <PartFrame {...common} tools={tools}>
            {words}
          </PartFrame>
        )}
      </WordsEditor>
    );
  const bare = isEmptyPart(part) || (seen.kind === 'credits' && seen.credits.length === 0);
  return (
    <PartFrame
      {...common}
      tools={part.kind === 'gallery' && selected && <GalleryHint part={part} />}
      panel={
        selected &&
        part.kind !== 'words' && (
          <PartPanel
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
      {bare ? <p className="part-empty">{part.prompt ?? emptyWords[part.kind]}</p> : shown}
    </PartFrame>
  );
});
