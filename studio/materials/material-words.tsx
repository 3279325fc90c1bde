import type { Material } from '#core/materials/material.ts';
import { useSite } from '../api/site-context.tsx';
import { materialName } from '../ui/material-picture.tsx';
import { AltField } from './alt-field.tsx';
import { TitleField } from './title-field.tsx';
import { TextField } from '../ui/text-field.tsx';

/** Title, caption and alt text of a picture, in Gather and wherever it is placed. */
export function MaterialWords({ material, brief = false }: { material: Material; brief?: boolean }) {
  const { changeMaterial } = useSite();
  const change = (field: 'title' | 'caption', value: string) =>
    changeMaterial(
      material.id,
      { [field]: value },
      `Words of ${materialName(material)}`,
      `${material.id} ${field}`,
    );
  return (
    <>
      {!brief && <TitleField title={material.title} onChange={(title) => change('title', title)} />}
      <TextField
        label="Caption"
        rows={2}
        most={600}
        value={material.caption}
        onChange={(caption) => change('caption', caption)}
      />
      {/* A link's still stands beside its title, so it has nothing more to say. */}
      {material.kind !== 'link' && <AltField material={material} />}
    </>
  );
}
