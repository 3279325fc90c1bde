import { createRequire } from 'node:module';
import type { Called } from '#core/personal/people-in.ts';
import { plainWords } from '#core/words/plain-words.ts';

const ask = createRequire(import.meta.url);
/** Places whose lists are short: whoever stands in one of them is called so by many. */
const short = ['de', 'it', 'tr'];
const places = ['en', 'fr', 'es', ...short];

let known: Map<string, 'often' | 'seldom'> | undefined;

/** Given names by how many lists they stand in, read when the first is asked for. */
function givenNames(): Map<string, 'often' | 'seldom'> {
  if (known) return known;
  const names = new Map<string, 'often' | 'seldom'>();
  for (const place of places) {
    const list = ask(`gender-detection-from-name/names/${place}.js`) as ReadonlyMap<string, unknown>;
    for (const name of new Set([...list.keys()].map(plainWords)))
      names.set(name, names.has(name) || short.includes(place) ? 'often' : 'seldom');
  }
  known = names;
  return names;
}

/** Whether people are called so, by the lists of a package that is there to guess something else from them. */
export const calledSo: Called = (word) => givenNames().get(word) ?? null;
