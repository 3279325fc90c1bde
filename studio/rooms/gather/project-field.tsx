import { byRank } from '#core/pages/by-rank.ts';
import type { Page } from '#core/pages/page.ts';
import { pageName, rulesOfPage } from '#core/pages/page-kinds.ts';

interface ProjectFieldProps {
  pages: readonly Page[];
  /** A page's id, '' for none, or null where the chosen ones differ. */
  value: string | null;
  onChange: (project: string | null) => void;
}

const differ = 'differ';

/** The project a material was gathered for. */
export function ProjectField({ pages, value, onChange }: ProjectFieldProps) {
  const projects = pages.filter((page) => rulesOfPage(page).isWork).sort(byRank);
  const known = value === '' || value === null || projects.some(({ id }) => id === value);
  return (
    <label className="field">
      <span className="field-name">For project</span>
      <select
        className="input"
        value={value === null ? differ : known ? value : ''}
        onChange={(event) => onChange(event.target.value || null)}
      >
        {value === null && (
          <option value={differ} disabled>
            As it is for each
          </option>
        )}
        <option value="">None, it is loose</option>
        {projects.map((page) => (
          <option key={page.id} value={page.id}>
            {pageName(page)}
          </option>
        ))}
      </select>
    </label>
  );
}
