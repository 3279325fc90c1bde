import { PanelRightClose, PanelRightOpen } from 'lucide-react';
import { useMemo } from 'react';
import { oneLine } from '#core/words/one-line.ts';
import { effectiveHeight } from '#core/access/effective-height.ts';
import { type CaseFacts, ownLicences } from '#core/pages/case-facts.ts';
import { licenceName } from '#core/credits/licence-name.ts';
import { materialsById } from '#core/materials/materials-by-id.ts';
import { factsOf, type ShownPage } from '#core/pages/page.ts';
import { suggestedMonths } from '#core/pages/suggested-months.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { pageWords } from '../../pages/page-words.ts';
import { useSite } from '../../api/site-context.tsx';
import { HeightRow } from '../../ui/height-control.tsx';
import { TagField } from '../../ui/tag-field.tsx';
import { CoverField } from '../../pages/cover-field.tsx';
import { PeopleField } from './people-field.tsx';
import { WhenFields } from '../../ui/when-fields.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { SelectField } from '../../ui/select.tsx';
import { SideSheet } from '../../ui/side-sheet.tsx';
import './case-facts.css';

type Line = 'when' | 'role' | 'course' | 'field' | 'madeWith' | 'materials';
const lines: Record<Line, { label: string; hint?: string; example: string; most: number }> = {
  when: { label: 'When, in other words', hint: 'instead of the months', example: 'Autumn term', most: 80 },
  role: { label: 'Role', example: 'Design, making, testing', most: 160 },
  course: { label: 'Made for', hint: 'course or client', example: 'Making Things Last', most: 120 },
  field: { label: 'Field', example: 'Furniture', most: 80 },
  madeWith: { label: 'Made with', hint: 'tools, software', example: 'Bandsaw, CAD', most: 200 },
  materials: { label: 'Materials', example: 'Plywood, brass, one motor', most: 200 },
};

/** Height of the page, its cover, and the facts that stand in a line below its opening. */
export function CaseFactsColumn({
  page,
  folded,
  risen,
  onFold,
}: {
  page: ShownPage;
  folded: boolean;
  /** Where it is a sheet, it is open. */
  risen: boolean;
  onFold: (folded: boolean) => void;
}) {
  const { state, changePage } = useSite();
  const name = page.title || 'this page';
  const { isWork } = rulesOfPage(page);
  const { facts: heading, hint } = pageWords(page);
  const link = state.live.pageLinkPaths[page.id];
  const facts = factsOf(page);
  const suggested = useMemo(
    () => suggestedMonths(page, materialsById(state.materials)),
    [page, state.materials],
  );
  const set = (change: Partial<CaseFacts>, label: string) =>
    changePage(
      page.id,
      { facts: { ...facts, ...change } },
      `${label} of ${name}`,
      `${page.id} facts ${Object.keys(change).join(' ')}`,
    );
  const line = (field: Line) => {
    const { label, hint, example, most } = lines[field];
    return (
      <label className="block">
        <span className="field-name">
          {label}
          {hint && <em>{hint}</em>}
        </span>
        <textarea
          className="input"
          rows={1}
          value={facts[field]}
          maxLength={most}
          placeholder={example}
          onChange={(event) => set({ [field]: oneLine(event.target.value) }, label)}
        />
      </label>
    );
  };
  return (
    <SideSheet
      at="compact"
      open={risen}
      className="case-facts flex flex-col gap-2.5 overflow-auto border-l border-l-line pt-3.5 pr-3.5 pb-5 pl-4"
      aria-labelledby="case-facts"
    >
      <div className="flex items-center gap-2">
        <h2 id="case-facts" className={`flex-1 text-base ${folded ? 'min-[1021px]:hidden' : ''}`}>
          {heading}
        </h2>
        <IconButton
          small
          className="max-[1020px]:hidden"
          label={folded ? 'Open the facts' : 'Fold the facts away'}
          aria-expanded={!folded}
          onClick={() => onFold(!folded)}
        >
          {folded ? (
            <PanelRightOpen size={18} aria-hidden="true" />
          ) : (
            <PanelRightClose size={18} aria-hidden="true" />
          )}
        </IconButton>
      </div>
      <div className={`flex flex-col gap-2.5 ${folded ? 'min-[1021px]:hidden' : ''}`}>
        <div>
          <p className="field-name">
            Who can see it <em>its height</em>
          </p>
          <HeightRow
            effective={effectiveHeight(state, { page: page.id })}
            of={name}
            onChange={(height) => changePage(page.id, { height }, `Height of ${name}`, `${page.id} height`)}
          />
          {link && (
            <p className="note mt-1">
              Has its own link.{' '}
              <a className="link" href={link} target="_blank" rel="noreferrer">
                Open it
              </a>
            </p>
          )}
        </div>
        {isWork && (
          <>
            <p className="note">
              What you fill in below stands in a line under the opening. What you leave empty stays off the
              page.
            </p>
            <WhenFields facts={facts} suggested={suggested} onChange={(change) => set(change, 'When')} />
            {line('role')}
            <PeopleField people={facts.withWhom} onChange={(withWhom) => set({ withWhom }, 'With whom')} />
            {line('course')}
            {line('field')}
            {line('madeWith')}
            {line('materials')}
            <TagField tags={facts.tags} onChange={(tags) => set({ tags }, 'Tags')} />
            <SelectField
              name="Licence"
              hint="what others may do"
              value={facts.licence ?? ''}
              options={[
                { value: '', name: 'Nothing said' },
                ...ownLicences.map((licence) => ({ value: licence, name: licenceName(licence) })),
              ]}
              onChange={(licence) => set({ licence: licence || null }, 'Licence')}
            />
            {line('when')}
            <CoverField page={page} />
          </>
        )}
        {hint && <p className="note">{hint}</p>}
      </div>
    </SideSheet>
  );
}
