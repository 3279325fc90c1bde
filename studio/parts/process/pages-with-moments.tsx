import type { Id } from '#core/id.ts';
import { momentsOf } from '#core/moments/moments-of.ts';
import { pageName, rulesOfPage } from '#core/pages/page-kinds.ts';
import { isShown, type ShownPage } from '#core/pages/page.ts';
import { plural } from '#core/words/plural.ts';
import { useSite } from '../../api/site-context.tsx';
import { CheckField } from '../../ui/check-field.tsx';

/** Of which pages a part draws moments. */
export function PagesWithMoments({
  page,
  pages,
  onChange,
}: {
  /** On which the part stands. */
  page: ShownPage;
  /** Null: of that page and of what hangs below it. */
  pages: readonly Id[] | null;
  onChange: (pages: Id[] | null) => void;
}) {
  const { state } = useSite();
  const withMoments = state.pages
    .filter(isShown)
    .filter(({ archived, parts }) => !archived && momentsOf(parts).length > 0);
  return (
    <fieldset className="grid gap-1.5">
      <legend className="field-name">Moments of</legend>
      <CheckField
        name={rulesOfPage(page).isFront ? 'All pages of the site' : 'This page and what hangs below it'}
        checked={pages === null}
        onChange={(all) => onChange(all ? null : [page.id])}
      />
      {pages !== null &&
        withMoments.map((one) => (
          <CheckField
            key={one.id}
            name={`${pageName(one)}, ${plural(momentsOf(one.parts).length, 'moment')}`}
            checked={pages.includes(one.id)}
            onChange={(wanted) => onChange(wanted ? [...pages, one.id] : pages.filter((id) => id !== one.id))}
          />
        ))}
    </fieldset>
  );
}
