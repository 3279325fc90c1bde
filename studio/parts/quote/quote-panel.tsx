import { TextField } from '../../ui/text-field.tsx';
import type { PartPanelProps } from '../part-settings.ts';

/** Below a selected quote: what was said, and by whom. */
export function QuotePanel({ part, onChange }: PartPanelProps<'quote'>) {
  return (
    <div className="grid gap-3">
      <TextField
        label="What was said"
        value={part.text}
        most={1200}
        onChange={(text) => onChange({ ...part, text })}
      />
      <label className="block max-w-md">
        <span className="field-name">
          By whom <em>a first name and where you met them is enough</em>
        </span>
        <input
          className="input"
          value={part.by}
          maxLength={200}
          onChange={(event) => onChange({ ...part, by: event.target.value })}
        />
      </label>
    </div>
  );
}
