import { useState } from 'react';
import { webAddressSchema } from '#contract/web-address.ts';
import { type Part, type PartOf, partSchema } from '#core/content/part.ts';
import { Field } from '../../ui/field.tsx';
import { TextField } from './text-field.tsx';

/** Below a selected contact: words, an e-mail address and a link; what cannot be right stays in its field and says so. */
export function ContactPanel({
  part,
  onChange,
}: {
  part: PartOf<'contact'>;
  onChange: (part: Part) => void;
}) {
  const [email, setEmail] = useState(part.email);
  const [link, setLink] = useState<string>(part.link);
  const [problems, setProblems] = useState<{ email?: string; link?: string }>({});
  const settle = (field: 'email' | 'link', typed: string) => {
    const address = field === 'link' && typed.trim() !== '' ? webAddressSchema.safeParse(typed) : null;
    const value = address?.success ? address.data : typed.trim();
    const checked = partSchema.safeParse({ ...part, [field]: value });
    const message = address && !address.success ? address.error.issues[0]?.message : undefined;
    if (!checked.success || message)
      return setProblems({
        ...problems,
        [field]: message ?? (checked.error?.issues[0]?.message || 'This cannot be right.'),
      });
    const { [field]: _, ...rest } = problems;
    setProblems(rest);
    if (value !== part[field]) onChange(checked.data);
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
          problem={problems.email}
          onChange={(event) => setEmail(event.target.value)}
          onBlur={() => settle('email', email)}
        />
        <Field
          label="Link"
          hint="where else you are"
          value={link}
          problem={problems.link}
          onChange={(event) => setLink(event.target.value)}
          onBlur={() => settle('link', link)}
        />
      </div>
    </div>
  );
}
