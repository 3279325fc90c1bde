import type { MaterialContent, MaterialOf } from '#core/content/material.ts';
import { TitleField } from '../../materials/title-field.tsx';

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
      <label className="field">
        <span className="field-name">Words</span>
        <textarea
          className="input"
          rows={8}
          value={note.transcript}
          maxLength={200_000}
          onChange={(event) => onChange({ transcript: event.target.value })}
        />
      </label>
    </>
  );
}
