import { createElement, memo } from 'react';
import type { PartViewProps } from './part-drawing.ts';
import { drawingOf } from './parts.ts';

/** One part as readers see it. In the studio it is drawn again only when something of it changed. */
export const PartView = memo(function PartView(props: PartViewProps) {
  return createElement(drawingOf(props.part).View, props);
});
