import type { ReactNode } from 'react';
import { effectiveHeight } from '#core/access/effective-height.ts';
import type { SeenPart } from '#core/access/seen-by.ts';
import { movedPart, standingBeside } from '#core/content/beside.ts';
import type { Page } from '#core/content/page.ts';
import { isEmptyPart, type Part } from '#core/content/part.ts';
import { useSite } from '../../api/site-context.tsx';
import type { Point } from '../../ui/drop-files.tsx';
import { GalleryHint } from './gallery-hint.tsx';
import { PartFrame } from './part-frame.tsx';
import { PartPanel } from './part-panel.tsx';
import { emptyWords } from './part-words.ts';
import type { PartSteps } from './use-parts.ts';
import { WordsEditor, type WordsEditorProps } from './words-editor.tsx';

interface ComposedPartProps {
  page: Page;
  part: Part;
  at: number;
  /** The part as readers get it. */
  seen: SeenPart;
  /** That part drawn. */
  shown: ReactNode;
  selected: boolean;
  /** Where the click was that selected it. */
  clickedAt: Point | null;
  parts: PartSteps;
  onSelect: (part: string | null, at?: Point | null) => void;
  /** Selects a part and brings it into view. */
  onShow: (part: string) => void;
  onMoveTo: (page: string) => void;
  onSlash: () => void;
  onPaste: WordsEditorProps['onPaste'];
}

/** A part on the page being composed: as readers see it, with what its maker can do to it. */
export function ComposedPart(props: ComposedPartProps) {
  const { page, part, at, seen, shown, selected, clickedAt, parts, onSelect, onShow } = props;
  const { state } = useSite();
  const beside = standingBeside(page.parts);
  const common = {
    part,
    at,
    count: page.parts.length,
    selected,
    effective: effectiveHeight(state, { page: page.id, part: part.id }),
    onSelect: (point: Point | null) => onSelect(part.id, point),
    onMove: (by: number) => parts.order(movedPart(page.parts, at, at + by), part.id),
    isBeside: typeof beside[at] === 'number',
    mayBeBeside: at > 0 && typeof beside[at - 1] !== 'number' && typeof beside[at + 1] !== 'number',
    onBeside: (isBeside: boolean) => parts.stand(part.id, isBeside ? 0.5 : null),
    onRemove: () => {
      parts.remove(part.id);
      onSelect(null);
    },
    onCopy: () => onShow(parts.copy(part.id)),
    others: state.pages.filter(
      (one) => one.id !== page.id && one.kind !== 'heading' && one.kind !== 'link' && !one.archived,
    ),
    onMoveTo: props.onMoveTo,
    onHeight: (height: Part['height']) => parts.change({ ...part, height }),
  };
  if (part.kind === 'words' && selected)
    return (
      <WordsEditor
        text={part.text}
        at={clickedAt}
        onPaste={props.onPaste}
        onSlash={props.onSlash}
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
        part.kind !== 'words' && (
          <PartPanel
            part={part}
            page={page}
            onChange={parts.change}
            onReplace={(by) => {
              parts.replace(part.id, by);
              onSelect(by[0]?.id ?? null);
            }}
          />
        )
      }
    >
      {bare ? <p className="part-empty">{part.prompt ?? emptyWords[part.kind]}</p> : shown}
    </PartFrame>
  );
}
