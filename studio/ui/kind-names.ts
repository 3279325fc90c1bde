import { hostOf } from '#core/links/host-of.ts';
import type { LinkState } from '#core/materials/link.ts';
import type { Material, MaterialKind } from '#core/materials/material.ts';

export const kindNames: Record<MaterialKind, string> = {
  picture: 'picture',
  document: 'document',
  sound: 'sound',
  clip: 'clip',
  link: 'link',
  note: 'note',
};

/** "3 pictures, 1 document": what a list of materials is made of. */
export function countKinds(materials: readonly Material[]): string {
  const counts = new Map<MaterialKind, number>();
  for (const { kind } of materials) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  return [...counts].map(([kind, many]) => `${many} ${kindNames[kind]}${many === 1 ? '' : 's'}`).join(', ');
}

/** "1:07": how long a recording is. */
export function duration(seconds: number): string {
  const whole = Math.round(seconds);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

const linkStateNames: Record<LinkState, string> = {
  read: '',
  gone: 'link, page is gone',
  closed: 'link, page is closed',
  slow: 'link, page is slow',
  unreachable: 'link, no answer',
};

/** What stands on a material that has no picture of its own. */
export function kindLabel(material: Material): string {
  switch (material.kind) {
    case 'picture':
      return material.facts.frames > 1 ? 'moving' : '';
    case 'document': {
      const { format, pages } = material.facts;
      const name = { markdown: 'Markdown', text: 'Text' }[format as string] ?? format.toUpperCase();
      return pages.length > 1 ? `${name}, ${pages.length} pages` : name;
    }
    case 'sound':
    case 'clip':
      return `${kindNames[material.kind]}, ${duration(material.facts.seconds)}`;
    case 'link':
      return (
        linkStateNames[material.facts.state] ||
        (material.facts.player ? 'clip at its host' : `link, ${hostOf(material.facts.url) ?? ''}`)
      );
    case 'note':
      return '';
  }
}
