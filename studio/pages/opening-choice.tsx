import type { Opening } from '#core/pages/opening.ts';
import { PictureList } from '../materials/picture-list.tsx';
import { useSite } from '../api/site-context.tsx';
import { openingNames } from '../ui/arrangement-names.ts';
import { Segments } from '../ui/segments.tsx';

const layouts = [
  { layout: 'full', needs: 1 },
  { layout: 'strip', needs: 1 },
  { layout: 'words', needs: 0 },
] as const;

interface OpeningChoiceProps {
  opening: Opening;
  onChange: (opening: Opening) => void;
}

/** What a page opens with: a picture, a few of them, or words; and which pictures. */
export function OpeningChoice({ opening, onChange }: OpeningChoiceProps) {
  const { look } = useSite().state.site;
  return (
    <>
      {look.opening && (
        <p className="note mb-2">
          {`The look of the site opens every page with: ${openingNames[look.opening].toLowerCase()}. What is chosen here comes back when Look leaves it to each page.`}
        </p>
      )}
      <Segments
        label="Layout of the opening"
        className="mb-3"
        value={opening.pictures.length === 0 ? 'words' : opening.layout}
        options={layouts.map(({ layout, needs }) => ({
          value: layout,
          name: openingNames[layout],
          disabled: opening.pictures.length < needs,
        }))}
        onChange={(layout) => onChange({ ...opening, layout })}
      />
      <PictureList
        pictures={opening.pictures}
        most={3}
        of="opening"
        // Of a full picture the others wait until they are shown as a strip.
        placeAt={(at) => (opening.layout === 'full' && at === 0 ? 'opening' : 'strip')}
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
