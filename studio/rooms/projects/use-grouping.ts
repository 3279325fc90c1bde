import { useState } from 'react';
import { type ProjectGrouping, projectGroupings } from '#core/content/group-projects.ts';

const key = (site: string) => `kite-wall ${site} projects by`;

/** How the board is grouped: a way to look at it, so it stays in this browser and is no edit of the site. */
export function useGrouping(site: string): [ProjectGrouping, (by: ProjectGrouping) => void] {
  const [by, setBy] = useState<ProjectGrouping>(() => {
    const kept = window.localStorage.getItem(key(site));
    return projectGroupings.find((one) => one === kept) ?? 'none';
  });
  return [
    by,
    (wanted) => {
      window.localStorage.setItem(key(site), wanted);
      setBy(wanted);
    },
  ];
}
