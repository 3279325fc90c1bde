import type { Page } from '#core/content/page.ts';
import { useSite } from '../../api/site-context.tsx';
import { plural } from './need-words.ts';

/** Projects that were put away, each with the way back. */
export function PutAway({ projects }: { projects: readonly Page[] }) {
  const { changePage } = useSite();
  if (projects.length === 0) return null;
  return (
    <details className="mt-8">
      <summary className="note cursor-pointer">{plural(projects.length, 'project')} put away</summary>
      <ul className="mt-2 grid gap-2">
        {projects.map((page) => (
          <li key={page.id} className="flex items-center gap-3">
            <span>{page.title || 'Untitled project'}</span>
            <button
              type="button"
              className="btn sm"
              onClick={() =>
                changePage(
                  page.id,
                  { archived: false },
                  `${page.title || 'Project'} hung up again`,
                  `${page.id} archived`,
                )
              }
            >
              Hang it up again<span className="sr-only">: {page.title || 'Untitled project'}</span>
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}
