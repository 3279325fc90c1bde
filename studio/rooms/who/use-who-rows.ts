import { useMemo } from 'react';
import { pathOfPages } from '#core/access/path-of-pages.ts';
import { type Gets, whoGetsWhat } from '#core/access/who-gets-what.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { shownOn } from '#core/pages/page.ts';
import { useSite } from '../../api/site-context.tsx';
import { partInWords } from '../../parts/part-in-words.ts';
import type { Column } from './columns.ts';

/** A page, or one of its parts below it. */
export interface WhoRowOf {
  key: string;
  name: string;
  part: boolean;
  page: string;
  depth: number;
  gets: readonly Gets[];
  /** Of a page: how many of its parts some of those who get it do not get. */
  inside: number;
}

/**
 * The rows of the table.
 *
 * @param opened pages whose parts are told, too
 */
export function useWhoRows(columns: readonly Column[], opened: ReadonlySet<string>): WhoRowOf[] {
  const { state } = useSite();
  const all = useMemo(
    () =>
      whoGetsWhat(
        state,
        columns.map(({ viewer }) => viewer),
      ),
    [state, columns],
  );
  return useMemo(() => {
    const pages = new Map(state.pages.map((page) => [page.id, page]));
    return all.flatMap(({ page: id, gets, parts }): WhoRowOf[] => {
      const page = pages.get(id);
      if (!page) return [];
      const depth = (pathOfPages(state.pages, id)?.length ?? 1) - 1;
      const row = { key: id, name: pageName(page), part: false, page: id, depth, gets, inside: parts.length };
      if (!opened.has(id)) return [row];
      const inside = parts.flatMap(({ part: at, gets: ofPart }): WhoRowOf[] => {
        const part = shownOn(page).parts.find((one) => one.id === at);
        if (!part) return [];
        const of = { name: partInWords(part, state.materials), part: true, page: id, depth: depth + 1 };
        return [{ ...of, key: `${id} ${at}`, gets: ofPart, inside: 0 }];
      });
      return [row, ...inside];
    });
  }, [state, all, opened]);
}
