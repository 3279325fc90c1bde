import { Link, useParams } from 'react-router';
import { CheckField } from '../../ui/check-field.tsx';
import { WebAddressField } from '../../ui/web-address-field.tsx';
import { TextField } from '../../ui/text-field.tsx';
import type { PartPanelProps } from '../part-settings.ts';

/** Below a selected contact: words, the form by which readers write, a card they can keep, and a link. */
export function ContactPanel({ part, onChange }: PartPanelProps<'contact'>) {
  const { site = '' } = useParams();
  return (
    <div className="grid gap-3">
      <TextField
        label="Words"
        value={part.words}
        most={600}
        onChange={(words) => onChange({ ...part, words })}
      />
      <div className="grid gap-3 sm:grid-cols-2">
        <div className="grid content-start gap-2">
          <CheckField
            name="A form to write to you"
            checked={part.form}
            onChange={(form) => onChange({ ...part, form })}
          />
          <p className="note">
            Your address stands nowhere. What people write is in{' '}
            <Link className="link" to={`/${site}/feedback`}>
              Feedback
            </Link>
            .
          </p>
          <CheckField
            name="A contact card to keep"
            checked={part.card}
            onChange={(card) => onChange({ ...part, card })}
          />
          <p className="note">
            A file with your name and what a reader may see in About you. It has no e-mail address.
          </p>
        </div>
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
