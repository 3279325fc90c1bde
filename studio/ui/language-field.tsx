import { offeredLanguages } from '#core/language/language.ts';
import { hasWords } from '#core/public-words/words-for.ts';
import { SelectField } from './select.tsx';

/** What a language calls itself; its name in BCP 47 where the browser does not know it. */
export function languageName(tag: string): string {
  const own = new Intl.DisplayNames([tag], { type: 'language' }).of(tag) ?? tag;
  return own.charAt(0).toLocaleUpperCase(tag) + own.slice(1);
}

interface LanguageFieldProps {
  name: string;
  hint?: string;
  value: string | null;
  /** What no choice is called; there is none without it. */
  none?: string;
  onChange: (language: string | null) => void;
}

/** One of the languages a site or a page can be written in. */
export function LanguageField({ name, hint, value, none, onChange }: LanguageFieldProps) {
  const known = value === null || offeredLanguages.includes(value) ? [] : [value];
  return (
    <div>
      <SelectField
        name={name}
        {...(hint ? { hint } : {})}
        value={value ?? ''}
        options={[
          ...(none === undefined ? [] : [{ value: '', name: none }]),
          ...[...known, ...offeredLanguages].map((tag) => ({ value: tag, name: languageName(tag) })),
        ]}
        onChange={(tag) => onChange(tag === '' ? null : tag)}
      />
      {value !== null && !hasWords(value) && (
        <p className="note mt-1">
          Nobody has written the pages’ own words in it yet: “Menu”, “Next” and the like are English.
        </p>
      )}
    </div>
  );
}
