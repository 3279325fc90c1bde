import type { Ref } from 'react';

interface PageFrameProps {
  /** What it is, for people who hear the room. */
  title: string;
  src: string;
  /** CSS pixels it is laid out in. */
  width: number;
  height: number;
  /** How large it is drawn. */
  scale: number;
  onLoad?: (frame: HTMLIFrameElement) => void;
  frame?: Ref<HTMLIFrameElement>;
  className?: string;
}

/** A page as it is laid out in a window of some size, drawn smaller; it can be scrolled, and its links can be followed. */
export const PageFrame = ({
  title,
  src,
  width,
  height,
  scale,
  onLoad,
  frame,
  className = 'rounded-s border border-line shadow-1',
}: PageFrameProps) => (
  <div
    className={`overflow-hidden bg-raised ${className}`}
    style={{ width: Math.floor(width * scale), height: Math.floor(height * scale) }}
  >
    <iframe
      {...{ title, src }}
      ref={frame}
      className="origin-top-left border-0"
      style={{ width, height, transform: `scale(${scale})` }}
      onLoad={({ currentTarget }) => onLoad?.(currentTarget)}
    />
  </div>
);
