import type { MaterialContent, MaterialOf } from '#core/materials/material.ts';
import { TitleField } from '../../materials/title-field.tsx';
import { TextField } from '../../ui/text-field.tsx';

/** What a note says, and what it is called. */
export function NoteWords({
  note,
  onChange,
}: {
  note: MaterialOf<'note'>;
  onChange: (change: Partial<MaterialContent>) => void;
}) {
  return (
    <>
      <TitleField title={note.title} onChange={(title) => onChange({ title })} />
      <TextField
        label="Words"
        rows={8}
        most={200_000}
        value={note.transcript}
        onChange={(transcript) => onChange({ transcript })}
      />
    </>
  );
}
