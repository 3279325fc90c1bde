/** Something that is so or is not, with a box to tick before its name. */
export function CheckField({
  name,
  checked,
  onChange,
}: {
  name: string;
  checked: boolean;
  onChange: (checked: boolean) => void;
}) {
  return (
    <label className="flex items-center gap-3">
      <input
        type="checkbox"
        className="h-5 w-5 flex-none accent-[var(--ink)]"
        checked={checked}
        onChange={(event) => onChange(event.target.checked)}
      />
      {name}
    </label>
  );
}
