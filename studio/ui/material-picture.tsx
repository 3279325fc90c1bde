import { previewPath, type PreviewSize } from '#contract/preview-path.ts';
import type { Material } from '#core/content/material.ts';
import { shownSize } from '#core/gallery/fixed-frame.ts';

/** What a picture is called where a name is needed. */
export const materialName = (material: Material): string =>
  material.title || material.caption || material.alt || material.fileName || 'Untitled picture';

/** A material's picture, its colour in its place until it is there. */
export function MaterialPicture({
  material,
  size = 480,
  className = '',
  alt,
}: {
  material: Material;
  size?: PreviewSize;
  className?: string;
  alt?: string;
}) {
  const shown = shownSize(material.facts, material.fixes);
  return (
    <img
      src={`/${previewPath(material, size)}`}
      width={shown.widthPx}
      height={shown.heightPx}
      alt={alt ?? (material.alt || materialName(material))}
      className={className}
      style={material.fixes.round ? undefined : { backgroundColor: material.facts.colour }}
      loading="lazy"
      decoding="async"
      draggable={false}
    />
  );
}
