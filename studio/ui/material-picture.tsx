import type { Material } from '#core/content/material.ts';

/** Address of a preview in the studio; `480` for tiles, `1400` for looking closely. */
export const previewUrl = (id: string, size: 480 | 1400): string => `/api/materials/${id}/preview/${size}`;

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
  size?: 480 | 1400;
  className?: string;
  alt?: string;
}) {
  return (
    <img
      src={previewUrl(material.id, size)}
      width={material.facts.widthPx}
      height={material.facts.heightPx}
      alt={alt ?? (material.alt || materialName(material))}
      className={className}
      style={{ backgroundColor: material.facts.colour }}
      loading="lazy"
      decoding="async"
      draggable={false}
    />
  );
}
