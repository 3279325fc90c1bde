import { directionOf } from '#core/language/language.ts';
import { partAnchor } from '#core/parts/part-anchor.ts';
import type { Way } from '../render/ways.ts';

/** Leads to a page of the same site. */
export function WayLink({ way, part = null, toRoot }: { way: Way; part?: string | null; toRoot: string }) {
  return (
    <a
      href={(toRoot + way.path || './') + (part === null ? '' : `#${partAnchor(part)}`)}
      {...(way.language !== null && { lang: way.language, dir: directionOf(way.language) })}
    >
      {way.title}
    </a>
  );
}
