import type { MaterialContent, MaterialOf } from '#core/content/material.ts';

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
      <label className="field">
        <span className="field-name">Title</span>
        <input
          className="input"
          value={note.title}
          maxLength={160}
          onChange={(event) => onChange({ title: event.target.value })}
        />
      </label>
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
