import { useState } from 'react';
import { pathOfPages } from '#core/access/path-of-pages.ts';
import { byRank } from '#core/pages/by-rank.ts';
import type { Page } from '#core/pages/page.ts';
import { shownOn } from '#core/pages/page.ts';
import type { PassTerms } from '#core/passes/pass.ts';
import { useSite } from '../../api/site-context.tsx';
import { Segments } from '../../ui/segments.tsx';
import { openedNames } from './opened-names.ts';

/** More than this, and there is a field to find one by. */
const manyThings = 12;

/** Pages and, below them, versions of a résumé, as they stand; what is put away is left out. */
function thingsOf(pages: readonly Page[]): { id: string; depth: number }[] {
  const below = (parent: string | null): Page[] =>
    pages.filter((page) => page.parent === parent && !page.archived).sort(byRank);
  const walk = (parent: string | null): { id: string; depth: number }[] =>
    below(parent).flatMap((page) => {
      const depth = (pathOfPages(pages, page.id)?.length ?? 1) - 1;
      const versions = shownOn(page).parts.filter(({ kind }) => kind === 'version');
      const leadsOut = page.kind === 'link';
      return [
        ...(leadsOut ? [] : [{ id: page.id, depth }]),
        // A page with one version is that version.
        ...(versions.length > 1 ? versions.map(({ id }) => ({ id, depth: depth + 1 })) : []),
        ...walk(page.id),
      ];
    });
  return walk(null);
}

interface OpensFieldProps {
  opens: PassTerms['opens'];
  onChange: (opens: PassTerms['opens']) => void;
}

/** What a pass opens: the whole site, or pages of it. */
export function OpensField({ opens, onChange }: OpensFieldProps) {
  const { state } = useSite();
  const [wanted, setWanted] = useState('');
  const things = thingsOf(state.pages);
  const depths = new Map(things.map(({ id, depth }) => [id, depth]));
  const all = openedNames(
    state,
    things.map(({ id }) => id),
  );
  const found = all.filter(({ name }) => name.toLowerCase().includes(wanted.trim().toLowerCase()));
  const chosen = new Set(opens === 'site' ? [] : opens);
  const toggle = (id: string, on: boolean) =>
    onChange(things.flatMap((one) => ((one.id === id ? on : chosen.has(one.id)) ? [one.id] : [])));
  return (
    <fieldset className="grid min-w-0 gap-2">
      <legend className="field-name">It opens</legend>
      <Segments
        label="It opens"
        className="justify-self-start"
        value={opens === 'site' ? 'site' : 'pages'}
        options={[
          { value: 'site', name: 'The whole site' },
          { value: 'pages', name: 'Chosen pages' },
        ]}
        onChange={(value) => onChange(value === 'site' ? 'site' : [])}
      />
      {opens !== 'site' && (
        <>
          {all.length > manyThings && (
            <input
              type="search"
              className="input"
              aria-label="Find a page"
              placeholder="Find a page"
              value={wanted}
              onChange={({ target }) => setWanted(target.value)}
            />
          )}
          <ul className="max-h-60 overflow-auto rounded-m border border-line bg-raised p-1">
            {found.map(({ id, name, shut }) => (
              <li key={id}>
                <label
                  className="flex min-h-9 items-center gap-3 rounded-[4px] px-2 hover:bg-sky-wash"
                  style={{ paddingInlineStart: `${8 + (depths.get(id) ?? 0) * 18}px` }}
                >
                  <input
                    type="checkbox"
                    className="h-5 w-5 flex-none accent-[var(--ink)]"
                    checked={chosen.has(id)}
                    onChange={({ target }) => toggle(id, target.checked)}
                  />
                  <span className="min-w-0 flex-1 truncate">{name}</span>
                  {shut && <small className="note flex-none">Private: stays shut</small>}
                </label>
              </li>
            ))}
            {found.length === 0 && <li className="note p-2">No page is called so.</li>}
          </ul>
          <p className="note">With each page comes what stands below it.</p>
        </>
      )}
    </fieldset>
  );
}
