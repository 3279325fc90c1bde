import { type RefObject, useEffect, useRef } from 'react';

/** How much a turn of the wheel by one pixel zooms. */
const perPixel = 0.01;

/**
 * Two fingers that part or meet, on a screen or a trackpad, zoom a line that scrolls sideways; what lies between them stays there.
 *
 * @param zoom as it is now
 * @param onZoom with what it is to be, within no bounds
 */
export function usePinch(
  box: RefObject<HTMLElement | null>,
  zoom: number,
  onZoom: ((zoom: number) => void) | null,
): void {
  // Events come faster than drawing: each goes on from the zoom that the one before asked for.
  const now = useRef(zoom);
  const ask = useRef(onZoom);
  useEffect(() => {
    now.current = zoom;
    ask.current = onZoom;
  }, [zoom, onZoom]);
  useEffect(() => {
    const at = box.current;
    if (!at) return undefined;
    const zoomBy = (ratio: number, clientX: number) => {
      if (!ask.current || !Number.isFinite(ratio)) return;
      const x = clientX - at.getBoundingClientRect().left;
      const left = (at.scrollLeft + x) * ratio - x;
      now.current *= ratio;
      ask.current(now.current);
      requestAnimationFrame(() => (at.scrollLeft = left));
    };
    const onWheel = (event: WheelEvent) => {
      // A pinch on a trackpad comes as a wheel with Control, and so does the wheel of who holds that key.
      if (!event.ctrlKey) return;
      event.preventDefault();
      zoomBy(Math.exp(-event.deltaY * perPixel), event.clientX);
    };
    let before: { px: number; x: number } | null = null;
    const apart = ({ touches }: TouchEvent) => {
      const [a, b] = touches;
      return a && b
        ? { px: Math.hypot(a.clientX - b.clientX, a.clientY - b.clientY), x: (a.clientX + b.clientX) / 2 }
        : null;
    };
    const onTouch = (event: TouchEvent) => (before = apart(event));
    const onMove = (event: TouchEvent) => {
      const after = apart(event);
      if (!after) return;
      // Else the browser would scroll with both fingers, and say nothing more of them.
      event.preventDefault();
      if (before && before.px > 0) zoomBy(after.px / before.px, after.x);
      before = after;
    };
    at.addEventListener('wheel', onWheel, { passive: false });
    at.addEventListener('touchmove', onMove, { passive: false });
    for (const touch of ['touchstart', 'touchend', 'touchcancel'] as const)
      at.addEventListener(touch, onTouch);
    return () => {
      at.removeEventListener('wheel', onWheel);
      at.removeEventListener('touchmove', onMove);
      for (const touch of ['touchstart', 'touchend', 'touchcancel'] as const)
        at.removeEventListener(touch, onTouch);
    };
  }, [box]);
}
