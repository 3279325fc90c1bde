import './switch.css';

interface SwitchProps {
  checked: boolean;
  onChange: (checked: boolean) => void;
  /** For the label that says what it switches. */
  id?: string;
  /** What it switches, where no label says so. */
  label?: string;
  disabled?: boolean;
}

/** Something that is on or off, and is so from the moment it is pressed. */
export const Switch = ({ checked, onChange, id, label, disabled = false }: SwitchProps) => (
  <span className="inline-flex items-center gap-2">
    <input
      type="checkbox"
      role="switch"
      className="switch"
      id={id}
      aria-label={label}
      checked={checked}
      disabled={disabled}
      onChange={({ target }) => onChange(target.checked)}
    />
    <span aria-hidden="true" className="w-6 text-s">
      {checked ? 'On' : 'Off'}
    </span>
  </span>
);
