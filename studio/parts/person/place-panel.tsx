import { exactnesses, type Exactness } from '#core/parts/place.ts';
import { Field } from '../../ui/field.tsx';
import { Segments } from '../../ui/segments.tsx';
import type { PartPanelProps } from '../part-settings.ts';

/** How exactly a place is named, and how it is asked for. */
export const exactnessWords: Record<Exactness, { name: string; asked: string }> = {
  street: { name: 'Street', asked: 'Street and number' },
  town: { name: 'Town', asked: 'Town or part of it' },
  region: { name: 'Region', asked: 'Region, roughly' },
  country: { name: 'Country', asked: 'Country' },
};

/** Where the maker is, as exactly as they say. */
export function PlacePanel({ part, onChange }: PartPanelProps<'place'>) {
  return (
    <div className="grid gap-3">
      <Segments
        label="How exactly"
        value={part.exactness}
        options={exactnesses.map((value) => ({ value, name: exactnessWords[value].name }))}
        onChange={(exactness) => onChange({ ...part, exactness })}
      />
      <Field
        label={exactnessWords[part.exactness].asked}
        value={part.text}
        maxLength={120}
        onChange={(event) => onChange({ ...part, text: event.target.value })}
      />
    </div>
  );
}
