import { useEffect, useRef } from 'react';

/** From the edge of a selected part to where its frame is drawn, in px. */
const frame = 12;

/**
 * The string from a bow of the tail to its part on the page. Decoration only: it follows whatever scrolls, and is not there
 * while its part or its bow is out of sight.
 *
 * @param order the ids of all parts, as they stand
 */
export function TieString({ selected, order }: { selected: string; order: string }) {
  const drawing = useRef<SVGSVGElement>(null);
  useEffect(() => {
    const svg = drawing.current;
    const room = svg?.parentElement;
    if (!svg || !room) return undefined;
    let planned = 0;
    const draw = () => {
      planned = 0;
      const bow = room.querySelector('.tail .sel .bow-line')?.getBoundingClientRect();
      const tail = room.querySelector('.tail')?.getBoundingClientRect();
      const page = room.querySelector('.compose-page')?.getBoundingClientRect();
      const part = document
        .getElementById(selected === 'opening' ? 'opening-frame' : `part-${selected}`)
        ?.getBoundingClientRect();
      const within = room.getBoundingClientRect();
      const path = svg.querySelector('path');
      if (!bow || !tail || !page || !part || !path) return path?.removeAttribute('d');
      const from = { x: bow.right - within.left, y: (bow.top + bow.bottom) / 2 - within.top };
      const seen = { top: Math.max(part.top, page.top), bottom: Math.min(part.bottom, page.bottom) };
      const hidden =
        seen.bottom - seen.top < 20 ||
        from.y < tail.top - within.top ||
        from.y > tail.bottom - within.top ||
        part.left < bow.right;
      if (hidden) return path.removeAttribute('d');
      const to = { x: part.left - frame - within.left, y: seen.top + 16 - within.top };
      const bend = Math.max(14, (to.x - from.x) * 0.8);
      path.setAttribute(
        'd',
        `M${from.x} ${from.y}C${from.x + bend} ${from.y} ${to.x - bend} ${to.y} ${to.x} ${to.y}`,
      );
    };
    const later = () => {
      planned ||= requestAnimationFrame(draw);
    };
    later();
    room.addEventListener('scroll', later, { capture: true, passive: true });
    const sizes = new ResizeObserver(later);
    for (const one of room.querySelectorAll('.page-sheet, .compose-page, .tail ol')) sizes.observe(one);
    return () => {
      cancelAnimationFrame(planned);
      room.removeEventListener('scroll', later, { capture: true });
      sizes.disconnect();
    };
    // Another order moves the bow without anything changing its size.
  }, [selected, order]);
  return (
    <svg
      ref={drawing}
      className="absolute inset-0 w-full h-full pointer-events-none z-8 compact:hidden"
      aria-hidden="true"
    >
      <path fill="none" stroke="var(--vermilion)" strokeWidth="1.6" />
    </svg>
  );
}
