import { useRef, useState } from 'react';
import './share-handle.css';

interface ShareHandleProps {
  /** How much of the width the first of the two has. */
  share: number;
  onChange: (share: number) => void;
}

const least = 0.2;
const kept = (share: number): number => Math.round(Math.min(1 - least, Math.max(least, share)) * 100) / 100;

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
    const box = pair?.getBoundingClientRect();
    if (!pair || !box) return;
    const next = kept((clientX - box.left) / box.width);
    pair.style.setProperty('--share', `${next}fr`);
    pair.style.setProperty('--rest', `${1 - next}fr`);
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
      style={{ left: `${shown * 100}%` }}
      onKeyDown={(event) => {
        const by = { ArrowLeft: -0.05, ArrowRight: 0.05 }[event.key];
        if (by === undefined) return;
        event.preventDefault();
        onChange(kept(share + by));
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
