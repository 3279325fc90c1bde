import { addDays, formatISO, parseISO } from 'date-fns';
import { instantInWords } from '../../dates/local-time-in-words.ts';
import type { CheckedSite, NoticedOnSite } from '../checked-site.ts';
import { toldOnce } from '../told-once.ts';

/** So long before its end a pass is spoken of, in days (our choice): a weekend lies in between. */
const soonDays = 7;

/** Passes that close within days: who reads by them is not warned. */
export const passEnding = ({ pages, givenOut, today }: CheckedSite): NoticedOnSite[] => {
  const on = toldOnce(pages);
  if (on === null || today === '') return [];
  const soon = formatISO(addDays(parseISO(today), soonDays), { representation: 'date' });
  return givenOut.passes.flatMap(({ id, label, on: isOn, closesAt, timeZone }) => {
    if (!isOn || closesAt === null) return [];
    const day = closesAt.slice(0, 10);
    if (day < today || day > soon) return [];
    return {
      ...{ weight: 'nice' as const, page: on, part: null, material: null, of: `${id} ${closesAt}` },
      says: `The pass “${label}” ends ${instantInWords(new Date(closesAt), timeZone)}.`,
      why: 'Whoever still reads by it gets nothing from then on. Give it more time, or let it end.',
    };
  });
};
