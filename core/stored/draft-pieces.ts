import type { Id } from '../id.ts';
import type { Draft } from '../sites/site.ts';
import { isShown } from '../pages/page.ts';
import { fromStored, stored, Unreadable } from './stored-json.ts';
import { pageFromStored, storedMaterial, storedPage, storedPart, storedSite } from './stored-kinds.ts';

/** A page, part or material as it is kept, or a run of their names; once for all releases that have it so. */
export interface Piece {
  /** Made from its content: equal names mean equal content. */
  name: string;
  /** Whose content it is; a run is nobody's, and has its own name here. */
  thing: Id;
  kind: 'page' | 'part' | 'material' | 'run';
  content: object;
}

/** A piece that lists others, in order. */
interface Run {
  run: string[];
}

/**
 * A draft as it is kept with a release: its site, and what is in it by the names of pieces, long lists by the names of their
 * runs. Releases of versions that knew no pieces have the things themselves in their places, those of versions that knew no
 * runs all names.
 */
export interface KeptDraft {
  site: object;
  pages: (string | object)[];
  materials: (string | object)[];
  /** Whether the lists are of runs. */
  runs?: boolean;
}

/** A run ends after a name that this letter begins: after one in 64, as names are made in base64. */
const endsRun = 'A';

/**
 * Lists of names in runs. Where a run ends is told by the names in it and not by their number, so that one more or less
 * leaves all other runs as they are.
 */
function inRuns(names: readonly string[]): string[][] {
  const runs: string[][] = [];
  let open: string[] = [];
  for (const name of names) {
    open.push(name);
    if (!name.startsWith(endsRun)) continue;
    runs.push(open);
    open = [];
  }
  return open.length > 0 ? [...runs, open] : runs;
}

/**
 * Takes a draft apart, so that what two releases have in common is kept once. A page's parts are pieces of their own.
 *
 * @param nameOf makes a name from the text of a piece, another one for every text
 */
export function draftToPieces(
  { site, pages, materials }: Draft,
  nameOf: (text: string) => string,
): { kept: KeptDraft; pieces: Piece[] } {
  const pieces = new Map<string, Piece>();
  const keep = (kind: Piece['kind'], thing: Id | null, content: object): string => {
    const name = nameOf(JSON.stringify(content));
    pieces.set(name, { name, thing: thing ?? name, kind, content });
    return name;
  };
  const keepRuns = (names: readonly string[]): string[] =>
    inRuns(names).map((run) => keep('run', null, { run } satisfies Run));
  const kept = {
    site: stored(storedSite, site),
    pages: keepRuns(
      pages.map((page) =>
        keep('page', page.id, {
          ...stored(storedPage, page),
          ...(isShown(page) && {
            parts: page.parts.map((part) => keep('part', part.id, stored(storedPart, part))),
          }),
        }),
      ),
    ),
    materials: keepRuns(
      materials.map((material) => keep('material', material.id, stored(storedMaterial, material))),
    ),
    runs: true,
  };
  return { kept, pieces: [...pieces.values()] };
}

/** Names of the pieces that a kept draft, a run or a page is made of by itself. */
export const namesIn = (list: readonly unknown[] | undefined): string[] =>
  (list ?? []).filter((one) => typeof one === 'string');

/**
 * Puts a draft together again.
 *
 * @param pieces the content of each piece by its name
 * @throws Unreadable where one is missing, or was kept by a newer version
 */
export function draftFromPieces(kept: KeptDraft, pieces: ReadonlyMap<string, object>): Draft {
  const get = (one: string | object): object => {
    const content = typeof one === 'string' ? pieces.get(one) : one;
    if (content === undefined)
      throw new Unreadable('What was kept cannot be read: a piece of it is missing.');
    return content;
  };
  const listed = (list: KeptDraft['pages']): KeptDraft['pages'] =>
    kept.runs ? list.flatMap((one) => (get(one) as Run).run) : list;
  return {
    site: fromStored(storedSite, kept.site),
    pages: listed(kept.pages).map((one) => {
      const page = get(one) as { parts?: (string | object)[] };
      return pageFromStored({ ...page, ...(page.parts && { parts: page.parts.map(get) }) });
    }),
    materials: listed(kept.materials).map((one) => fromStored(storedMaterial, get(one))),
  };
}
