import { drawnPortrait, type Sheet } from '#core/about/drawn-portrait.ts';
import type { DrawnPortraitChoice } from '#core/about/drawn-portrait-choice.ts';

/** The studio's own colours stand for those of the look, which it gets on the page. */
const fills: Record<Sheet, string> = {
  back: 'fill-sunk',
  skin: 'fill-[var(--paper-raised)] stroke-[var(--ink)]',
  hair: 'fill-[var(--ink)] stroke-[var(--paper)]',
  clothes: 'fill-[var(--vermilion)] stroke-[var(--paper)]',
  line: 'fill-none stroke-[var(--ink)] [stroke-width:1.6]',
};

/** A portrait cut from paper, small. */
export function CutPortrait({ drawing, className }: { drawing: DrawnPortraitChoice; className: string }) {
  return (
    <svg viewBox="0 0 100 100" className={className} strokeLinecap="round" aria-hidden="true">
      {drawnPortrait(drawing).map(({ sheet, d }, at) => (
        <path key={at} className={fills[sheet]} d={d} />
      ))}
    </svg>
  );
}
