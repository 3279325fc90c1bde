import type { PartOf } from '#core/parts/parts.ts';
import { Field } from '../../ui/field.tsx';
import type { PartPanelProps } from '../part-settings.ts';

type LineKind = 'full-name' | 'headline' | 'pronouns';

interface LineWords {
  label: string;
  hint: string;
  most: number;
}

/** What is asked for each fact that is one line. */
export const lineWords: Record<LineKind, LineWords> = {
  'full-name': {
    label: 'Full name',
    hint: 'as on a certificate',
    most: 120,
  },
  headline: { label: 'Headline', hint: 'what you do, in a few words', most: 90 },
  pronouns: { label: 'Pronouns', hint: 'if you like', most: 40 },
};

/** One line about the maker. */
export function LinePanel({ part, onChange }: PartPanelProps<LineKind>) {
  const { label, hint, most } = lineWords[part.kind];
  const set = (text: string) => onChange({ ...part, text } as PartOf<LineKind>);
  return (
    <Field
      label={label}
      hint={hint}
      value={part.text}
      maxLength={most}
      onChange={(event) => set(event.target.value)}
    />
  );
}
