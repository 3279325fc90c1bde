import { type CSSProperties, useDeferredValue, useEffect, useRef, useState } from 'react';
import type { Look } from '#core/look/look.ts';
import type { Scheme } from '#core/look/theme-colours.ts';
import type { PageInput } from '#site/render/page-input.ts';
import { DrawnPage } from './drawn-page.tsx';

export interface Worn {
  look: Look;
  scheme?: Scheme | undefined;
  name: string;
}

interface PreviewProps {
  input: PageInput;
  left: Worn;
  /** Laid over its right half, behind a cord that can be pulled. */
  right: Worn | null;
  /** How wide the page is, in CSS pixels. */
  widthPx: number;
}

/** One of the maker's pages in the look that is being changed, and, behind a cord, in another one. */
export function Preview({ input, left, right, widthPx }: PreviewProps) {
  const frame = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState(widthPx);
  const [cord, setCord] = useState(50);
  // The other one follows as soon as there is time: the one that is being changed comes first.
  const beside = useDeferredValue(right);
  useEffect(() => {
    const element = frame.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => setRoom(entry?.contentRect.width ?? widthPx));
    observer.observe(element);
    return () => observer.disconnect();
  }, [widthPx]);
  const zoom = Math.min(1, room / widthPx);
  const page = (worn: Worn, place: string) => (
    <div className={place} style={{ zoom, width: `${widthPx}px` }}>
      <DrawnPage input={input} look={worn.look} scheme={worn.scheme} />
    </div>
  );
  return (
    <div className="look-preview" style={{ '--cord': cord / 100, '--room': `${room}px` } as CSSProperties}>
      <div
        ref={frame}
        className="look-pages"
        // What scrolls has to be reached by keys.
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
        tabIndex={0}
        role="img"
        aria-label={`${input.page.title || input.siteTitle}, in ${left.name}${right ? `; right of the cord in ${right.name}` : ''}`}
      >
        {page(left, 'look-left')}
        {beside && right && page(beside, 'look-right')}
      </div>
      {right && (
        <>
          <span className="look-cord" aria-hidden="true" />
          <input
            type="range"
            className="look-pull"
            min={0}
            max={100}
            value={cord}
            aria-label="Where the cord hangs"
            aria-valuetext={`${cord} per cent ${left.name}, ${100 - cord} per cent ${right.name}`}
            onChange={(event) => setCord(Number(event.target.value))}
          />
        </>
      )}
    </div>
  );
}
