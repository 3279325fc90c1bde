/** What a material is called. */
export function TitleField({ title, onChange }: { title: string; onChange: (title: string) => void }) {
  return (
    <label className="block">
      <span className="field-name">Title</span>
      <input
        className="input"
        value={title}
        maxLength={160}
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  );
}
