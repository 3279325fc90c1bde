import { textsIn } from '../../parts/texts-in.ts';
import type { CheckedPage } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** Words that were meant to be replaced (common practice). Written small, the first are words of other languages. */
const leftOver = [
  /\b(TODO|TBD|TBC|FIXME|XXX+)\b/,
  /\b(lorem ipsum|dolor sit amet|your text here|insert (text|name|picture) here|coming soon|under construction)\b/i,
];

/** What is on the page and was meant to be replaced before anybody sees it. */
export function leftOverWords({ page }: CheckedPage): Noticed[] {
  const places: [part: string | null, text: string][] = [
    [null, `${page.title}\n${page.summary}`],
    ...page.parts.map((part): [string, string] => [part.id, textsIn(part).join('\n')]),
  ];
  return places.flatMap(([part, text]) => {
    const found = leftOver.map((one) => one.exec(text)?.[0]).find((one) => one !== undefined);
    if (found === undefined) return [];
    return {
      ...{ weight: 'needed' as const, part, material: null, of: found.toLowerCase() },
      says: `It says “${found}”.`,
      why: 'That was meant to be replaced. Write what belongs there, or take it off.',
    };
  });
}
