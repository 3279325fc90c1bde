import type { Need } from '#core/check/page-needs.ts';
import { plural } from '#core/words/plural.ts';

/** What is missing, as it goes on after "Still needs"; evidence is a wish and told as one. */
function needInWords({ kind, count }: Need): string {
  switch (kind) {
    case 'title':
      return 'a title';
    case 'summary':
      return 'a one-line summary';
    case 'content':
      return 'something to show';
    case 'alt':
      return plural(count, 'alt text');
    case 'transcript':
      return plural(count, 'transcript');
    case 'credit':
      return plural(count, 'credit');
    case 'evidence':
      return '';
  }
}

/** What a project still needs, and what its maker, or a list that they took in, wishes for it. @param byList a list does */
export function needsInWords(needs: readonly Need[], byList: boolean): string {
  const needed = needs.filter(({ kind }) => kind !== 'evidence').map(needInWords);
  const wished = needs.find(({ kind }) => kind === 'evidence')?.count ?? 0;
  return [
    needed.length > 0 ? `Still needs ${needed.join(', ')}` : 'Nothing missing',
    ...(wished > 0
      ? [`${byList ? 'a list asks' : 'you wished'} for ${plural(wished, 'more piece')} of evidence`]
      : []),
  ].join('; ');
}
