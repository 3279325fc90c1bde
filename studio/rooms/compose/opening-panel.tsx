import { ImagePlus } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Opening } from '#core/pages/opening.ts';
import { PictureList } from '../../materials/picture-list.tsx';
import { useDropPlace } from './use-drop-place.ts';
import { Segments } from '../../ui/segments.tsx';
import { Button } from '../../ui/button.tsx';

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
    <div
      {...place}
      id="opening-frame"
      className={`part relative flow-root data-over:outline-2 data-over:outline-offset-12 data-over:outline-[#285f9d] data-over:outline-dashed ${selected ? 'sel outline-2 -outline-offset-2 outline-[#be3d16]' : ''}`}
    >
      {children}
      <div className="studio-ui opening-button absolute right-3 top-3 z-3">
        <Button small aria-expanded={selected} onClick={onSelect}>
          <ImagePlus size={15} aria-hidden="true" />
          {selected ? 'Done with the opening' : 'Change the opening'}
        </Button>
      </div>
      {selected && (
        <div className="studio-ui part-panel border-t border-t-line bg-raised p-3.5">
          <Segments
            label="Layout of the opening"
            className="mb-3"
            value={shownLayout}
            options={layouts.map(({ layout, name, needs }) => ({
              value: layout,
              name,
              disabled: opening.pictures.length < needs,
            }))}
            onChange={(layout) => onChange({ ...opening, layout })}
          />
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
