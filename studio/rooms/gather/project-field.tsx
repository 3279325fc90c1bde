import { byRank } from '#core/pages/by-rank.ts';
import type { Page } from '#core/pages/page.ts';
import { pageName, rulesOfPage } from '#core/pages/page-kinds.ts';
import { SelectField } from '../../ui/select.tsx';

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
    <SelectField
      name="For project"
      value={value === null ? differ : known ? value : ''}
      options={[
        ...(value === null ? [{ value: differ, name: 'As it is for each', disabled: true }] : []),
        { value: '', name: 'None, it is loose' },
        ...projects.map((page) => ({ value: page.id, name: pageName(page) })),
      ]}
      onChange={(project) => onChange(project || null)}
    />
  );
}
