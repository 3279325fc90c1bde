import { useSite } from '../api/site-context.tsx';
import { MaterialPicture } from '../ui/material-picture.tsx';
import { TextField } from '../ui/text-field.tsx';

/** The alt text of pictures where they are shown, for parts that have no list with their words in it. */
export function AltTexts({ of }: { of: readonly (string | null)[] }) {
  const { state, changeMaterial } = useSite();
  const pictures = [...new Set(of)].flatMap(
    (id) => state.materials.find((one) => one.id === id && one.kind === 'picture') ?? [],
  );
  return pictures.map((picture) => (
    <div key={picture.id} className="flex items-start gap-3">
      <MaterialPicture material={picture} alt="" className="h-16 w-20 flex-none object-cover" />
      <div className="min-w-0 flex-1">
        <TextField
          label={pictures.length > 1 ? `Alt text of ${picture.title || picture.fileName}` : 'Alt text'}
          hint="for people who can’t see it"
          rows={2}
          most={600}
          value={picture.alt}
          onChange={(alt) =>
            changeMaterial(
              picture.id,
              { alt },
              `Alt text of ${picture.title || picture.fileName}`,
              `${picture.id} alt`,
            )
          }
        />
      </div>
    </div>
  ));
}
