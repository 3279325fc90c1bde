import type { Need } from '#core/check/page-needs.ts';

/** "1 picture", "3 pictures" */
export const plural = (count: number, one: string): string => `${count} ${one}${count === 1 ? '' : 's'}`;

/** What is missing, as it goes on after "Still needs". */
export function needInWords({ kind, count }: Need): string {
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
      return `${count} more evidence`;
  }
}
