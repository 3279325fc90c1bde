import { isShown, isWork, type WorkPage } from '../../pages/page.ts';
import type { Draft } from '../../sites/site.ts';
import type { Contradiction, ContradictionRule, Statement } from './contradiction.ts';
import { otherLevel } from './other-level.ts';
import { otherRole } from './other-role.ts';
import { otherTitle } from './other-title.ts';
import { otherYears } from './other-years.ts';

const rules: readonly ContradictionRule[] = [otherYears, otherRole];

/** Whether a statement is about a project: it points at its page or calls it by its name. */
const speaksOf = ({ pages, text }: Statement, { id, title }: WorkPage): boolean =>
  pages.includes(id) || (title.trim().length > 3 && text.toLowerCase().includes(title.trim().toLowerCase()));

/**
 * Where About, the résumé and the pages of projects do not say the same: years, roles, titles, levels of languages. Questions and no
 * faults; either of the two may be right.
 */
export function contradictions({
  site,
  pages,
}: {
  site: Pick<Draft['site'], 'language'>;
  pages: readonly Draft['pages'][number][];
}): Contradiction[] {
  const open = pages.filter(({ archived }) => !archived);
  const work = open.filter(isWork);
  const shown = open.filter(isShown);
  const entries = shown.flatMap((page) =>
    page.parts.flatMap((part) =>
      part.kind === 'entry' ? [{ entry: part, language: page.language ?? site.language }] : [],
    ),
  );
  const told = shown.flatMap((page) =>
    page.parts.flatMap((part): Statement[] =>
      part.kind === 'telling'
        ? part.answers.map(({ text, proof }) => ({
            ...{ text: text.trim(), entry: null, language: page.language ?? site.language },
            pages: proof === null ? [] : [proof],
          }))
        : [],
    ),
  );
  const lines = entries.flatMap(({ entry, language }) =>
    entry.lines.map(({ text, proof }): Statement => ({
      ...{ text: text.trim(), entry, language },
      pages: entry.page === null ? (proof ? [proof.page] : []) : [entry.page],
    })),
  );
  const spoken = shown.flatMap(({ parts }) =>
    parts.flatMap((part) => (part.kind === 'languages' ? part.list : [])),
  );
  return [
    ...entries.flatMap(({ entry }) => {
      const page = work.find(({ id }) => id === entry.page);
      return (page && otherTitle(entry, page)) ?? [];
    }),
    ...entries.flatMap(({ entry }) =>
      entry.section === 'languages' ? (otherLevel(entry, spoken) ?? []) : [],
    ),
    ...[...told, ...lines].flatMap((said) =>
      work
        .filter((page) => speaksOf(said, page))
        .flatMap((page) => rules.flatMap((rule) => rule(said, page) ?? [])),
    ),
  ];
}
