import { Plus, X } from 'lucide-react';
import { offeredLanguages } from '#core/language/language.ts';
import { type LanguageLevel, languageLevels, type Spoken } from '#core/parts/languages.ts';
import { Button } from '../../ui/button.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { Select } from '../../ui/select.tsx';
import type { PartPanelProps } from '../part-settings.ts';

const names = new Intl.DisplayNames(['en'], { type: 'language' });
const nameOf = (tag: string) => names.of(tag) ?? tag;

/** What each level of the Common European Framework says of somebody, in a few words. */
const levelNames: Record<LanguageLevel, string> = {
  first: 'first language',
  C2: 'C2, like a first one',
  C1: 'C1, for work and study',
  B2: 'B2, in most situations',
  B1: 'B1, on familiar ground',
  A2: 'A2, simple exchanges',
  A1: 'A1, a few sentences',
};

/** Languages the maker speaks, and how well. */
export function LanguagesPanel({ part, onChange }: PartPanelProps<'languages'>) {
  const set = (list: Spoken[]) => onChange({ ...part, list });
  const change = (at: number, more: Partial<Spoken>) =>
    set(part.list.map((one, n) => (n === at ? { ...one, ...more } : one)));
  const taken = new Set(part.list.map(({ language }) => language));
  const free = offeredLanguages.filter((tag) => !taken.has(tag));
  return (
    <fieldset className="grid gap-2">
      <legend className="field-name">
        Languages <em>levels of the CEFR</em>
      </legend>
      <ul className="grid gap-2 empty:hidden">
        {part.list.map(({ language, level }, at) => (
          <li key={language} className="grid grid-cols-[1fr_1fr_auto] items-center gap-1">
            <Select
              label={`Language ${at + 1}`}
              value={language}
              options={[language, ...free].map((value) => ({ value, name: nameOf(value) }))}
              onChange={(value) => change(at, { language: value })}
            />
            <Select
              label={`How well you speak ${nameOf(language)}`}
              value={level}
              options={languageLevels.map((value) => ({ value, name: levelNames[value] }))}
              onChange={(value) => change(at, { level: value })}
            />
            <IconButton
              small
              label={`Take off ${nameOf(language)}`}
              onClick={() => set(part.list.filter((_, n) => n !== at))}
            >
              <X size={15} aria-hidden="true" />
            </IconButton>
          </li>
        ))}
      </ul>
      {part.list.length < 12 && free[0] && (
        <Button
          small
          className="w-fit"
          onClick={() =>
            free[0] &&
            set([...part.list, { language: free[0], level: part.list.length === 0 ? 'first' : 'B1' }])
          }
        >
          <Plus size={15} aria-hidden="true" />
          Add a language
        </Button>
      )}
    </fieldset>
  );
}
