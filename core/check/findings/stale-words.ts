import { textsIn } from '../../parts/texts-in.ts';
import type { CheckedPage } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** Words that say that something is still to come, in the languages a site can have (common practice). */
const toCome: Readonly<Record<string, RegExp>> = {
  en: /\b(?:will|going to|planned|planning|upcoming|coming|due|expected|graduat(?:e|es|ing)|forthcoming|until|by)\b/i,
  de: /(?<!\p{L})(?:wird|werde|werden|geplant|voraussichtlich|demnächst|bis|ab)(?!\p{L})/iu,
  fr: /(?<!\p{L})(?:sera|seront|serai|prévue?s?|prochaine?s?|à venir|jusqu[’'](?:en|à|au))(?!\p{L})/iu,
  es: /(?<!\p{L})(?:será|serán|seré|previst[oa]s?|próxim[oa]s?|hasta)(?!\p{L})/iu,
};
/** A year after one of these is one that something ran from. */
const year = /(?<![\d.,/#–-])(20\d{2})(?![\d.,]?\d|\s?[–-]|\s?×)/g;

/** Sentences that promise something for a year that has passed. */
export function staleWords({ page, site, today }: CheckedPage): Noticed[] {
  const future = toCome[(page.language ?? site.language).slice(0, 2)];
  if (!future) return [];
  const thisYear = Number(today.slice(0, 4));
  const look = (part: string | null, texts: readonly string[]): Noticed[] =>
    texts
      .flatMap((text) => text.split(/(?<=[.!?…])\s|\n/))
      .flatMap((sentence) => {
        const years = [...sentence.matchAll(year)].map(([, one]) => Number(one));
        if (years.length === 0 || Math.max(...years) >= thisYear || !future.test(sentence)) return [];
        const said = sentence.length > 90 ? `${sentence.slice(0, 88).trimEnd()}…` : sentence;
        return {
          ...{ weight: 'nice' as const, part, material: null, of: sentence },
          says: `“${said}” speaks of ${Math.max(...years)} as if it were to come.`,
          why: 'Who reads it thinks that the page is forgotten. Say how it went, or take it out.',
        };
      });
  return [
    ...look(null, [page.title, page.summary]),
    ...page.parts.flatMap((part) => {
      // What a résumé says from when until when is in fields of its own.
      const isProse = part.kind === 'words' || part.kind === 'quote' || part.kind === 'reflection';
      return isProse || part.kind === 'telling' ? look(part.id, textsIn(part)) : [];
    }),
  ];
}
