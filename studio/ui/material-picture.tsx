import { AudioLines, Clapperboard, FileText, Link2, Presentation, StickyNote } from 'lucide-react';
import { previewPath, type PreviewSize } from '#contract/material-paths.ts';
import { pageSizePx, slideFormats } from '#core/materials/document.ts';
import type { Material } from '#core/materials/material.ts';
import { type Size, shownSize } from '#core/gallery/fixed-frame.ts';
import { kindNames } from './kind-names.ts';
import './material-picture.css';

/** What a material is called where a name is needed. */
export const materialName = (material: Material): string =>
  material.title ||
  material.caption ||
  material.alt ||
  material.fileName ||
  (material.kind === 'note' && material.transcript.trim().split('\n', 1)[0]?.slice(0, 80)) ||
  `Untitled ${kindNames[material.kind]}`;

/** Whether there is a picture of it; else its name is written on a sheet. */
export const hasPicture = (material: Material): boolean =>
  material.kind === 'picture' ||
  (material.kind === 'document' && material.facts.pages.length > 0) ||
  (material.kind === 'link' && material.facts.picture !== null);

/** Proportions in which a material is shown small. */
export function shapeOf(material: Material): Size {
  switch (material.kind) {
    case 'picture':
      return shownSize(material.facts, material.fixes);
    case 'document': {
      const [first] = material.facts.pages;
      return first ? pageSizePx(first) : { widthPx: 300, heightPx: 400 };
    }
    case 'clip':
      return material.facts;
    case 'link':
      return material.facts.picture ?? { widthPx: 400, heightPx: 300 };
    case 'sound':
    case 'note':
      return { widthPx: 400, heightPx: 300 };
  }
}

const icons = { document: FileText, sound: AudioLines, clip: Clapperboard, link: Link2, note: StickyNote };

/** All there is to say; where it is small only the sign, or only the name. */
type SheetShows = 'all' | 'sign' | 'name';

/** A sheet with a sign and a name, for what has no picture. */
function KindSheet({
  material,
  className,
  shows,
}: {
  material: Material;
  className: string;
  shows: SheetShows;
}) {
  const slides = material.kind === 'document' && slideFormats.some((one) => one === material.facts.format);
  const Icon = slides ? Presentation : material.kind === 'picture' ? FileText : icons[material.kind];
  return (
    <span
      className={`kind-sheet ${shows === 'sign' ? 'items-center justify-center px-1.5 py-0.5' : ''} ${className}`}
      data-kind={material.kind}
    >
      {shows !== 'name' && <Icon size={26} strokeWidth={1.5} aria-hidden="true" />}
      <span className={shows === 'sign' ? 'sr-only' : ''}>{materialName(material)}</span>
      {shows === 'all' && material.kind === 'note' && (
        <span className="note-words" aria-hidden="true">
          {material.transcript.slice(0, 400).replace(material.title, '').trim()}
        </span>
      )}
    </span>
  );
}

/** A material's picture, its colour in its place until it is there; a sheet with its name where it has none. */
export function MaterialPicture({
  material,
  size = 480,
  className = '',
  alt,
  shows = 'all',
}: {
  material: Material;
  size?: PreviewSize;
  className?: string;
  alt?: string;
  /** What is to be seen on the sheet of what has no picture. */
  shows?: SheetShows;
}) {
  if (!hasPicture(material)) return <KindSheet material={material} className={className} shows={shows} />;
  const shown = shapeOf(material);
  const colour =
    material.kind === 'picture'
      ? material.facts.colour
      : (material.kind === 'link' && material.facts.picture?.colour) || '#ffffff';
  return (
    <img
      src={`/${previewPath(material, size)}`}
      width={shown.widthPx}
      height={shown.heightPx}
      alt={alt ?? (material.alt || materialName(material))}
      className={className}
      style={material.fixes.round ? undefined : { backgroundColor: colour }}
      loading="lazy"
      decoding="async"
      draggable={false}
    />
  );
}
