import { Crop, MapPin, X } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Warning } from '#core/gallery/picture-quality.ts';
import { whereUsed } from '#core/content/where-used.ts';
import type { Material, MaterialContent } from '#core/content/material.ts';
import { warningSentences } from './warning-words.ts';
import { FixDialog } from './fixes/fix-dialog.tsx';
import { DateField } from './date-field.tsx';
import { ProjectField } from './project-field.tsx';
import { ProvenanceFields } from './provenance-fields.tsx';
import { TagField } from './tag-field.tsx';
import { useSite } from '../../api/site-context.tsx';
import { MaterialPicture, materialName } from '../../ui/material-picture.tsx';

const megabytes = (bytes: number): string =>
  bytes < 1_000_000 ? `${Math.round(bytes / 1000)} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`;

/** Title, caption and alt text of a picture, used here and wherever the picture is placed. */
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
      {!brief && (
        <label className="field">
          <span className="field-name">Title</span>
          <input
            className="input"
            value={material.title}
            maxLength={160}
            onChange={(event) => change('title', event.target.value)}
          />
        </label>
      )}
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
    </>
  );
}

/** Everything known about one material, at the side of Gather. */
export function MaterialFacts({
  material,
  warnings,
  alike,
  onLook,
  onClose,
}: {
  material: Material;
  warnings: readonly Warning[];
  /** Its look-alikes. */
  alike: readonly Material[];
  onLook: (id: string) => void;
  onClose: () => void;
}) {
  const { state, changeMaterial } = useSite();
  const [fixing, setFixing] = useState(false);
  const change = (part: Partial<MaterialContent>, what: string) =>
    changeMaterial(
      material.id,
      part,
      `${what}: ${materialName(material)}`.slice(0, 120),
      `${material.id} ${Object.keys(part).join(' ')}`,
    );
  const { facts } = material;
  const uses = whereUsed(state.pages, material.id);
  return (
    <aside className="facts-side" aria-label={`Facts of ${materialName(material)}`}>
      <div className="relative flex-none bg-sunk">
        <MaterialPicture material={material} size={1400} className="max-h-64 w-full object-contain" />
        <button type="button" className="btn sm absolute bottom-2 left-2" onClick={() => setFixing(true)}>
          <Crop size={15} aria-hidden="true" />
          Fix it
        </button>
        {fixing && <FixDialog material={material} onClose={() => setFixing(false)} />}
        <button
          type="button"
          className="icon-btn absolute top-2 right-2 bg-raised"
          aria-label="Close the facts"
          onClick={onClose}
        >
          <X size={18} aria-hidden="true" />
        </button>
      </div>
      <div className="grid gap-3 p-4">
        {warnings.map((warning) => (
          <p key={warning} className="note">
            {warningSentences[warning]}
          </p>
        ))}
        {alike.length > 0 && (
          <div>
            <p className="field-name">Looks like</p>
            <ul className="flex flex-wrap gap-2">
              {alike.map((other) => (
                <li key={other.id}>
                  <button
                    type="button"
                    className="block h-14 w-20"
                    aria-label={`Look at ${materialName(other)}`}
                    onClick={() => onLook(other.id)}
                  >
                    <MaterialPicture material={other} alt="" className="h-full w-full object-cover" />
                  </button>
                </li>
              ))}
            </ul>
          </div>
        )}
        <MaterialWords material={material} />
        <DateField
          key={`${material.id} taken`}
          value={material.takenOn}
          onChange={(takenOn) => change({ takenOn }, 'Date')}
        />
        <ProjectField
          pages={state.pages}
          value={material.project ?? ''}
          onChange={(project) => change({ project }, 'Project')}
        />
        <TagField
          key={`${material.id} tags`}
          tags={material.tags}
          onChange={(tags) => change({ tags }, 'Tags')}
        />
        <ProvenanceFields
          value={material.provenance}
          ownTitle={material.title}
          onChange={(part) => change({ provenance: { ...material.provenance, ...part } }, 'Whose work it is')}
        />
        <dl className="grid grid-cols-[5.5rem_1fr] gap-y-1 text-[0.8125rem] leading-[1.25rem] [&_dt]:text-ink-3">
          <dt>Used in</dt>
          <dd>
            {uses.length === 0
              ? 'nothing yet'
              : uses.map(({ page }) => (
                  <Link key={page.id} className="link mr-2" to={`../projects/${page.id}`}>
                    {page.title || 'Untitled'}
                  </Link>
                ))}
          </dd>
          <dt>Size</dt>
          <dd>
            {facts.widthPx} × {facts.heightPx}, {megabytes(material.bytes)} {facts.format.toUpperCase()}
          </dd>
          <dt>File</dt>
          <dd className="break-all">{material.fileName}</dd>
        </dl>
        {facts.hasGps && (
          <p className="flag straw">
            <MapPin size={15} aria-hidden="true" />
            Has the place where it was taken. Removed when published.
          </p>
        )}
      </div>
    </aside>
  );
}
