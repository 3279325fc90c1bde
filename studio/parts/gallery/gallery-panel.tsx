import { Columns3, GalleryThumbnails, LayoutGrid, Rows3 } from 'lucide-react';
import { Link } from 'react-router';
import { mostInGallery } from '#core/parts/gallery.ts';
import { PictureList } from '../../materials/picture-list.tsx';
import type { PartPanelProps } from '../part-settings.ts';
import { Field } from '../../ui/field.tsx';
import { Segments } from '../../ui/segments.tsx';
import { Button } from '../../ui/button.tsx';

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
export function GalleryPanel({ part, onChange }: PartPanelProps<'gallery'>) {
  return (
    <div className="grid gap-3">
      <Field
        label="Heading of the gallery"
        hint="if it needs one"
        value={part.title}
        maxLength={120}
        onChange={(event) => onChange({ ...part, title: event.target.value })}
      />
      <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
        <div className="grid gap-1">
          <span className="field-name">Pictures in</span>
          <Segments
            label="Layout of the gallery"
            value={part.layout}
            options={layouts.map(({ layout, ...shown }) => ({ value: layout, ...shown }))}
            onChange={(layout) => onChange({ ...part, layout })}
          />
        </div>
        <div className="grid gap-1">
          <span className="field-name">Captions</span>
          <Segments
            label="Captions"
            value={part.captions}
            options={captions.map(({ way, name }) => ({ value: way, name }))}
            onChange={(way) => onChange({ ...part, captions: way })}
          />
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
        <Button asChild small>
          <Link to={`sheet/${part.id}`} relative="path">
            <LayoutGrid size={15} aria-hidden="true" />
            Choose on a contact sheet
          </Link>
        </Button>
      </p>
      <PictureList
        pictures={part.pictures}
        most={mostInGallery}
        of="gallery"
        placeAt={() => 'gallery'}
        onChange={(pictures) => onChange({ ...part, pictures })}
      />
    </div>
  );
}
