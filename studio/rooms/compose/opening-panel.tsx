import { ImagePlus } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Opening } from '#core/pages/opening.ts';
import { PictureList } from '../../materials/picture-list.tsx';
import { useDropPlace } from './use-drop-place.ts';

const layouts = [
  { layout: 'full', name: 'Full picture', needs: 1 },
  { layout: 'strip', name: 'Strip of pictures', needs: 1 },
  { layout: 'words', name: 'Words only', needs: 0 },
] as const;

interface OpeningPanelProps {
  opening: Opening;
  selected: boolean;
  onSelect: () => void;
  onChange: (opening: Opening) => void;
  children: ReactNode;
}

/** The opening on the page, with the choice of its layout and pictures. */
export function OpeningPanel({ opening, selected, onSelect, onChange, children }: OpeningPanelProps) {
  const { place } = useDropPlace('opening frame');
  const shownLayout = opening.pictures.length === 0 ? 'words' : opening.layout;
  return (
    <div {...place} id="opening-frame" className={`part opening-part ${selected ? 'sel' : ''}`}>
      {children}
      <div className="studio-ui opening-button">
        <button type="button" className="btn sm" aria-expanded={selected} onClick={onSelect}>
          <ImagePlus size={15} aria-hidden="true" />
          {selected ? 'Done with the opening' : 'Change the opening'}
        </button>
      </div>
      {selected && (
        <div className="studio-ui part-panel">
          <div className="seg mb-3" role="group" aria-label="Layout of the opening">
            {layouts.map(({ layout, name, needs }) => (
              <button
                key={layout}
                type="button"
                aria-pressed={shownLayout === layout}
                disabled={opening.pictures.length < needs}
                onClick={() => onChange({ ...opening, layout })}
              >
                {name}
              </button>
            ))}
          </div>
          <PictureList
            pictures={opening.pictures}
            most={3}
            of="opening"
            onChange={(pictures) =>
              onChange({
                layout: pictures.length > 0 && opening.layout === 'words' ? 'full' : opening.layout,
                pictures,
              })
            }
          />
        </div>
      )}
    </div>
  );
}
