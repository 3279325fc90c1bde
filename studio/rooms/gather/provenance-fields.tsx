import { useId } from 'react';
import { creditLine, creditOf } from '#core/credits/credit.ts';
import { licences } from '#core/credits/licence.ts';
import { licenceName } from '#core/credits/licence-name.ts';
import { missingProvenance, type Provenance } from '#core/credits/provenance.ts';
import { SelectField } from '../../ui/select.tsx';

const answers: [Provenance['whose'], string][] = [
  ['mine', 'Mine'],
  ['with-others', 'With others'],
  ['someone-else', 'Someone else’s'],
];
const missingNames = { maker: 'who made it', source: 'where it is from', licence: 'a licence' };

interface ProvenanceFieldsProps {
  value: Provenance;
  /** Title of the material itself, used in the credit where the work's own is not given. */
  ownTitle: string;
  onChange: (change: Partial<Provenance>) => void;
}

/** Whose work it is, asked only as far as the answer needs it, and the credit that comes of it. */
export function ProvenanceFields({ value, ownTitle, onChange }: ProvenanceFieldsProps) {
  const id = useId();
  const missing = missingProvenance(value);
  const credit = creditLine(creditOf(value, ownTitle));
  const text = (
    field: 'title' | 'maker' | 'date' | 'source',
    label: string,
    most: number,
    hint = '',
    disabled = false,
  ) => (
    <label className="block">
      <span className="field-name">
        {label}
        {hint && <em>{hint}</em>}
      </span>
      <input
        className="input"
        value={value[field]}
        maxLength={most}
        disabled={disabled}
        onChange={(event) => onChange({ [field]: event.target.value })}
      />
    </label>
  );
  return (
    <fieldset className="grid gap-3">
      <legend className="field-name">Whose work is it?</legend>
      <div className="flex gap-0.5 rounded-m bg-sunk p-[3px]">
        {answers.map(([whose, name]) => (
          <label key={whose} className="relative flex-auto">
            <input
              type="radio"
              className="peer absolute inset-0 cursor-pointer opacity-0"
              name={`${id}-whose`}
              checked={value.whose === whose}
              onChange={() => onChange({ whose })}
            />
            <span className="grid min-h-7.5 place-items-center rounded-[4px] px-2 text-s font-firm whitespace-nowrap text-ink-2 peer-checked:bg-raised peer-checked:text-ink peer-checked:shadow-1 peer-focus-visible:shadow-(--ring)">
              {name}
            </span>
          </label>
        ))}
      </div>
      {value.whose === 'with-others' && text('maker', 'With whom', 300, 'and what they did')}
      {value.whose === 'someone-else' && (
        <>
          <div className="grid grid-cols-[1fr_6.5rem] gap-2">
            {text('title', 'Title of the work', 200)}
            {text('date', 'Date', 60)}
          </div>
          <div>
            {text('maker', 'Maker, people or region', 300, '', value.makerUnknown)}
            <label className="mt-1 flex items-center gap-2 text-[0.8125rem] text-ink-2">
              <input
                type="checkbox"
                checked={value.makerUnknown}
                onChange={(event) =>
                  onChange({
                    makerUnknown: event.target.checked,
                    ...(event.target.checked ? { maker: '' } : {}),
                  })
                }
              />
              Nobody knows who made it
            </label>
          </div>
          {text('source', 'Source', 2000, 'a link, or where it is kept')}
          <SelectField
            name="Licence"
            value={value.licence ?? ''}
            options={[
              { value: '', name: 'Not known yet' },
              ...licences.map((licence) => ({ value: licence, name: licenceName(licence) })),
            ]}
            onChange={(licence) => onChange({ licence: licence || null })}
          />
        </>
      )}
      {value.whose !== 'mine' && (
        <div className="bg-sunk px-3 py-2 text-[0.8125rem] leading-[1.25rem]" aria-live="polite">
          <b>Its credit</b>
          <p>{credit || 'Nothing to say yet.'}</p>
          {missing.length > 0 && (
            <p className="text-ink-3">Still needed: {missing.map((one) => missingNames[one]).join(', ')}.</p>
          )}
        </div>
      )}
    </fieldset>
  );
}
