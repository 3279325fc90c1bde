import { Columns3, Crop, GalleryThumbnails, LayoutGrid, Rows3 } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Part, PartOf } from '#core/content/part.ts';
import { useSite } from '../../api/site-context.tsx';
import { FixDialog } from '../gather/fixes/fix-dialog.tsx';
import { MaterialWords } from '../gather/material-facts.tsx';
import { AddressField } from './address-field.tsx';
import { PickMaterials } from './pick-materials.tsx';
import { PictureList } from './picture-list.tsx';

const widths = [
  { width: 'text', name: 'In the text' },
  { width: 'wide', name: 'Wide' },
  { width: 'full', name: 'Full width' },
] as const;

/** Below a selected picture: which one, how wide, and its words. */
export function PicturePanel({
  part,
  onChange,
}: {
  part: PartOf<'picture'>;
  onChange: (part: Part) => void;
}) {
  const { state } = useSite();
  const [fixing, setFixing] = useState(false);
  const material = state.materials.find(({ id }) => id === part.material);
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap gap-3">
        <div className="seg" role="group" aria-label="Width of the picture">
          {widths.map(({ width, name }) => (
            <button
              key={width}
              type="button"
              aria-pressed={part.width === width}
              onClick={() => onChange({ ...part, width })}
            >
              {name}
            </button>
          ))}
        </div>
        <PickMaterials
          title="Choose a picture"
          most={1}
          onPick={([id]) => id && onChange({ ...part, material: id })}
        >
          <button type="button" className="btn sm">
            {material ? 'Another picture' : 'Choose a picture'}
          </button>
        </PickMaterials>
        {material && (
          <button type="button" className="btn sm" onClick={() => setFixing(true)}>
            <Crop size={15} aria-hidden="true" />
            Fix it
          </button>
        )}
        {material && fixing && <FixDialog material={material} onClose={() => setFixing(false)} />}
      </div>
      {material && (
        <div className="grid gap-2 sm:grid-cols-2">
          <MaterialWords material={material} brief />
        </div>
      )}
      <AddressField
        key={part.id}
        label="A click leads to"
        hint="a web address; empty: it opens large"
        value={part.link}
        onChange={(link) => onChange({ ...part, link })}
      />
    </div>
  );
}

const layouts = [
  { layout: 'rows', name: 'Rows', icon: Rows3 },
  { layout: 'columns', name: 'Columns', icon: Columns3 },
  { layout: 'grid', name: 'Even grid', icon: LayoutGrid },
  { layout: 'one-large', name: 'One large', icon: GalleryThumbnails },
] as const;
const captions = [
  { way: 'below', name: 'Below' },
  { way: 'on-hover', name: 'When pointed at' },
  { way: 'hidden', name: 'Hidden' },
] as const;

/** Below a selected gallery: its heading, its pictures, their order and words. */
export function GalleryPanel({
  part,
  onChange,
}: {
  part: PartOf<'gallery'>;
  onChange: (part: Part) => void;
}) {
  return (
    <div className="grid gap-3">
      <label className="field max-w-md">
        <span className="field-name">
          Heading of the gallery <em>if it needs one</em>
        </span>
        <input
          className="input"
          value={part.title}
          maxLength={120}
          onChange={(event) => onChange({ ...part, title: event.target.value })}
        />
      </label>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
        <div className="grid gap-1">
          <span className="field-name">Pictures in</span>
          <div className="seg" role="group" aria-label="Layout of the gallery">
            {layouts.map(({ layout, name, icon: Icon }) => (
              <button
                key={layout}
                type="button"
                aria-pressed={part.layout === layout}
                onClick={() => onChange({ ...part, layout })}
              >
                <Icon size={15} aria-hidden="true" />
                {name}
              </button>
            ))}
          </div>
        </div>
        <div className="grid gap-1">
          <span className="field-name">Captions</span>
          <div className="seg" role="group" aria-label="Captions">
            {captions.map(({ way, name }) => (
              <button
                key={way}
                type="button"
                aria-pressed={part.captions === way}
                onClick={() => onChange({ ...part, captions: way })}
              >
                {name}
              </button>
            ))}
          </div>
        </div>
        {part.layout === 'one-large' && (
          <label className="check">
            <input
              type="checkbox"
              checked={part.autoplay}
              onChange={(event) => onChange({ ...part, autoplay: event.target.checked })}
            />
            The next one comes by itself, slowly
          </label>
        )}
      </div>
      {part.layout === 'one-large' && part.autoplay && (
        <p className="note">
          Every seven seconds, with a button to stop it. It stands still on touch screens and for readers who
          want less motion.
        </p>
      )}
      <p>
        <Link className="btn sm" to={`sheet/${part.id}`} relative="path">
          <LayoutGrid size={15} aria-hidden="true" />
          Choose on a contact sheet
        </Link>
      </p>
      <PictureList
        pictures={part.pictures}
        most={200}
        of="gallery"
        onChange={(pictures) => onChange({ ...part, pictures })}
      />
    </div>
  );
}
