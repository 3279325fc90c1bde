import { useState } from 'react';
import { partSchema } from '#core/parts/parts.ts';
import { Field } from '../../ui/field.tsx';
import { WebAddressField } from '../../ui/web-address-field.tsx';
import { TextField } from '../../ui/text-field.tsx';
import type { PartPanelProps } from '../part-settings.ts';

/** Below a selected contact: words, an e-mail address and a link; what cannot be right stays in its field and says so. */
export function ContactPanel({ part, onChange }: PartPanelProps<'contact'>) {
  const [email, setEmail] = useState(part.email);
  const [problem, setProblem] = useState<string>();
  const settle = () => {
    const checked = partSchema.safeParse({ ...part, email: email.trim() });
    setProblem(checked.success ? undefined : (checked.error.issues[0]?.message ?? 'This cannot be right.'));
    if (checked.success && email.trim() !== part.email) onChange(checked.data);
  };
  return (
    <div className="grid gap-3">
      <TextField
        label="Words"
        value={part.words}
        most={600}
        onChange={(words) => onChange({ ...part, words })}
      />
      <div className="grid gap-3 sm:grid-cols-2">
        <Field
          label="E-mail"
          hint="everybody who opens the page can see it"
          type="email"
          value={email}
          problem={problem}
          onChange={(event) => setEmail(event.target.value)}
          onBlur={settle}
        />
        <WebAddressField
          label="Link"
          hint="where else you are"
          value={part.link}
          onChange={(link) => onChange({ ...part, link })}
        />
      </div>
    </div>
  );
}
