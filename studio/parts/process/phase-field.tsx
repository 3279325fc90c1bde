import type { Id } from '#core/id.ts';
import { phaseName } from '#core/moments/phases.ts';
import { en } from '#core/public-words/en.ts';
import { useSite } from '../../api/site-context.tsx';
import { SelectField } from '../../ui/select.tsx';

/** One of the site's phases, or none of them. */
export function PhaseField({
  phase,
  none,
  onChange,
}: {
  phase: Id | null;
  /** What none of them is called here. */
  none: string;
  onChange: (phase: Id | null) => void;
}) {
  const { phases } = useSite().state.site;
  return (
    <SelectField
      name="Phase"
      // One that was taken off is none until it is back.
      value={phases.some(({ id }) => id === phase) ? (phase ?? '') : ''}
      options={[
        { value: '', name: none },
        ...phases.map((one) => ({
          value: one.id,
          name: phaseName(one, en.process.phases, 'Phase without a name'),
        })),
      ]}
      onChange={(id) => onChange(id === '' ? null : id)}
    />
  );
}
