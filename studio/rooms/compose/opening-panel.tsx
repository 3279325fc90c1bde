import { ImagePlus } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Opening } from '#core/pages/opening.ts';
import { OpeningChoice } from '../../pages/opening-choice.tsx';
import { useDropPlace } from './use-drop-place.ts';
import { Button } from '../../ui/button.tsx';

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
          <OpeningChoice opening={opening} onChange={onChange} />
        </div>
      )}
    </div>
  );
}
