import type { Opening } from '#core/pages/opening.ts';
import { PictureList } from '../materials/picture-list.tsx';
import { Segments } from '../ui/segments.tsx';

const layouts = [
  { layout: 'full', name: 'Full picture', needs: 1 },
  { layout: 'strip', name: 'Strip of pictures', needs: 1 },
  { layout: 'words', name: 'Words only', needs: 0 },
] as const;

interface OpeningChoiceProps {
  opening: Opening;
  onChange: (opening: Opening) => void;
}

/** What a page opens with: a picture, a few of them, or words; and which pictures. */
export function OpeningChoice({ opening, onChange }: OpeningChoiceProps) {
  return (
    <>
      <Segments
        label="Layout of the opening"
        className="mb-3"
        value={opening.pictures.length === 0 ? 'words' : opening.layout}
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
    </>
  );
}
