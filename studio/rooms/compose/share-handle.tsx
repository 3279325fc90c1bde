import { type CSSProperties, useRef, useState } from 'react';
import { quarterShare, quarterShares } from '#core/parts/beside.ts';
import './share-handle.css';

interface ShareHandleProps {
  /** How much of the width the first of the two has. */
  share: number;
  onChange: (share: number) => void;
}

const [least] = quarterShares;

/** The next share to one side. */
const stepped = (share: number, by: -1 | 1): number =>
  quarterShares[quarterShares.indexOf(quarterShare(share)) + by] ?? share;

/** The line between two parts that stand beside each other: pulled with the mouse or a finger, or moved by arrow keys. */
export function ShareHandle({ share, onChange }: ShareHandleProps) {
  const handle = useRef<HTMLDivElement>(null);
  const [pulled, setPulled] = useState<number | null>(null);
  // Where the line is now: letting go may come before the last move has been drawn.
  const latest = useRef<number | null>(null);
  const shown = pulled ?? share;
  /** Moves the line there, on the page too, without a step of undo for each pixel. */
  const pull = (clientX: number) => {
    const pair = handle.current?.closest<HTMLElement>('.pair');
    const [first, second] = pair?.querySelectorAll(':scope > .half') ?? [];
    if (!pair || !first || !second) return;
    const { left } = first.getBoundingClientRect();
    const next = quarterShare((clientX - left) / (second.getBoundingClientRect().right - left));
    pair.dataset['share'] = String(next * 100);
    latest.current = next;
    setPulled(next);
  };
  return (
    // A separator that is moved is a control (WAI-ARIA, "window splitter").
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
    <div
      ref={handle}
      className="studio-ui share-handle"
      role="separator"
      aria-orientation="vertical"
      aria-label="How wide the first of the two is"
      aria-valuemin={least * 100}
      aria-valuemax={(1 - least) * 100}
      aria-valuenow={Math.round(shown * 100)}
      aria-valuetext={`${Math.round(shown * 100)} percent`}
      // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
      tabIndex={0}
      style={{ '--at': shown } as CSSProperties}
      onKeyDown={(event) => {
        if (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight') return;
        event.preventDefault();
        const next = stepped(share, event.key === 'ArrowLeft' ? -1 : 1);
        if (next !== share) onChange(next);
      }}
      onPointerDown={(event) => {
        event.preventDefault();
        event.currentTarget.setPointerCapture(event.pointerId);
        event.currentTarget.focus();
        latest.current = share;
        setPulled(share);
      }}
      onPointerMove={(event) => {
        if (latest.current !== null) pull(event.clientX);
      }}
      onPointerUp={() => {
        if (latest.current !== null && latest.current !== share) onChange(latest.current);
        latest.current = null;
        setPulled(null);
      }}
      onPointerCancel={() => {
        latest.current = null;
        setPulled(null);
      }}
    >
      {pulled !== null && <span>{Math.round(pulled * 100)} %</span>}
    </div>
  );
}
