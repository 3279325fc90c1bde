import type { Material } from '#core/materials/material.ts';
import { useSite } from '../api/site-context.tsx';
import { materialName } from '../ui/material-picture.tsx';
import { TextField } from '../ui/text-field.tsx';

/**
 * What a picture shows, for people who cannot see it.
 *
 * @param named the label names the picture, where several stand beside each other
 */
export function AltField({ material, named = false }: { material: Material; named?: boolean }) {
  const { changeMaterial } = useSite();
  return (
    <TextField
      label={named ? `Alt text of ${materialName(material)}` : 'Alt text'}
      hint="for people who can’t see it"
      rows={2}
      most={600}
      value={material.alt}
      onChange={(alt) =>
        changeMaterial(material.id, { alt }, `Words of ${materialName(material)}`, `${material.id} alt`)
      }
    />
  );
}
