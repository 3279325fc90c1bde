import type { CaseFacts, Page } from '#core/content/page.ts';
import { effectiveHeight } from '#core/access/effective-height.ts';
import { useSite } from '../../api/site-context.tsx';
import { HeightRow } from '../../ui/height-control.tsx';

const fields: readonly { name: keyof CaseFacts; label: string; example: string; most: number }[] = [
  { name: 'when', label: 'When', example: 'September to December 2025', most: 80 },
  { name: 'role', label: 'Role', example: 'Design, making, testing', most: 160 },
  { name: 'madeWith', label: 'Made with', example: 'Plywood, brass, one motor', most: 200 },
  { name: 'withWhom', label: 'With whom', example: 'First names are enough', most: 200 },
];

/** Height of the page and the facts that stand in a line below its opening. */
export function CaseFactsColumn({ page }: { page: Page }) {
  const { state, changePage } = useSite();
  const name = page.title || 'this page';
  const link = state.live.pageLinkPaths[page.id];
  return (
    <aside className="case-facts" aria-labelledby="case-facts">
      <h2 id="case-facts" className="text-base">
        {page.kind === 'project' ? 'Case facts' : 'Front page'}
      </h2>
      <div>
        <p className="field-name">Height</p>
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
      {page.kind === 'project' &&
        fields.map(({ name: field, label, example, most }) => (
          <label key={field} className="field">
            <span className="field-name">{label}</span>
            <textarea
              className="input"
              rows={1}
              value={page.facts[field]}
              maxLength={most}
              placeholder={example}
              onChange={(event) =>
                changePage(
                  page.id,
                  { facts: { ...page.facts, [field]: event.target.value.replace(/\s*\n\s*/g, ' ') } },
                  `${label} of ${name}`,
                  `${page.id} facts ${field}`,
                )
              }
            />
          </label>
        ))}
      <p className="note">
        {page.kind === 'project'
          ? 'What you fill in stands in a line below the opening. What you leave empty stays off the page.'
          : 'Say in one sentence what you make. Your projects hang below it by themselves.'}
      </p>
    </aside>
  );
}
