import type { CaseFacts } from './case-facts.ts';

export const projectGroupings = ['none', 'year', 'course'] as const;
export type ProjectGrouping = (typeof projectGroupings)[number];

/** The year a project belongs to: the one it was finished in, or began in while it goes on. */
const yearOf = ({ facts: { from, to } }: { facts: CaseFacts }): string =>
  (to === null || to === 'now' ? from : to)?.slice(0, 4) ?? '';

/**
 * Projects in groups, each in the order given: years from the latest, courses by the alphabet, and last those that have
 * none, under an empty name. Without grouping, one group of all.
 */
export function groupProjects<P extends { facts: CaseFacts }>(
  projects: readonly P[],
  by: ProjectGrouping,
): { name: string; projects: P[] }[] {
  if (by === 'none') return projects.length > 0 ? [{ name: '', projects: [...projects] }] : [];
  const groups = new Map<string, P[]>();
  for (const project of projects) {
    const name = by === 'year' ? yearOf(project) : project.facts.course.trim();
    groups.set(name, [...(groups.get(name) ?? []), project]);
  }
  const compare = (a: string, b: string): number => {
    if (a === '' || b === '') return a === b ? 0 : a === '' ? 1 : -1;
    return by === 'year' ? b.localeCompare(a) : a.localeCompare(b, 'en', { sensitivity: 'base' });
  };
  return [...groups.entries()]
    .sort(([a], [b]) => compare(a, b))
    .map(([name, members]) => ({ name, projects: members }));
}
