import { useSite } from '../api/site-context.tsx';
import { MaterialPicture } from '../ui/material-picture.tsx';
import { AltField } from './alt-field.tsx';

/** The alt text of pictures where they are shown, for parts that have no list with their words in it. */
export function AltTexts({ of }: { of: readonly (string | null)[] }) {
  const { state } = useSite();
  const pictures = state.materials.filter(({ id, kind }) => kind === 'picture' && of.includes(id));
  return pictures.map((picture) => (
    <div key={picture.id} className="flex items-start gap-3">
      <MaterialPicture material={picture} alt="" className="h-16 w-20 flex-none object-cover" />
      <div className="min-w-0 flex-1">
        <AltField material={picture} named={pictures.length > 1} />
      </div>
    </div>
  ));
}
