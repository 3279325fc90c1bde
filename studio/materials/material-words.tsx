import type { Material } from '#core/content/material.ts';
import { useSite } from '../api/site-context.tsx';
import { materialName } from '../ui/material-picture.tsx';
import { TitleField } from './title-field.tsx';

/** Title, caption and alt text of a picture, in Gather and wherever it is placed. */
export function MaterialWords({ material, brief = false }: { material: Material; brief?: boolean }) {
  const { changeMaterial } = useSite();
  const change = (field: 'title' | 'caption' | 'alt', value: string) =>
    changeMaterial(
      material.id,
      { [field]: value },
      `Words of ${materialName(material)}`,
      `${material.id} ${field}`,
    );
  return (
    <>
      {!brief && <TitleField title={material.title} onChange={(title) => change('title', title)} />}
      <label className="field">
        <span className="field-name">Caption</span>
        <textarea
          className="input"
          rows={2}
          value={material.caption}
          maxLength={600}
          onChange={(event) => change('caption', event.target.value)}
        />
      </label>
      {/* A link's still stands beside its title, so it has nothing more to say. */}
      {material.kind !== 'link' && (
        <label className="field">
          <span className="field-name">
            Alt text <em>for people who can’t see it</em>
          </span>
          <textarea
            className="input"
            rows={2}
            value={material.alt}
            maxLength={600}
            onChange={(event) => change('alt', event.target.value)}
          />
        </label>
      )}
    </>
  );
}
