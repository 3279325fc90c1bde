import { plainWords } from '../../words/plain-words.ts';
import { called, type CheckedPage, standingOn } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** Longer than this is tiring to hear, since it cannot be left half-way (common practice). */
const longest = 200;
const announced = /^(an? )?(image|picture|photo|photograph|pic|screenshot) (of|showing)\b/i;
const withoutEnding = (name: string): string => name.replace(/\.[a-z0-9]{2,5}$/i, '');

/** What is wrong with an alt text that is there; null for nothing. */
function fault(alt: string, title: string, fileName: string): [says: string, why: string] | null {
  const said = plainWords(alt.trim());
  if (said === plainWords(fileName) || said === plainWords(withoutEnding(fileName)))
    return ['says only the name of its file', 'A file name says nothing of what there is to see.'];
  if (title.trim() !== '' && said === plainWords(title.trim()))
    return ['repeats the title', 'Who listens hears the same words twice. Say what the picture shows.'];
  if (announced.test(alt.trim()))
    return [
      'begins with what kind of thing it is',
      'That it is a picture is said already. Begin with what it shows.',
    ];
  if (alt.trim().length > longest)
    return [
      `is ${alt.trim().length} characters long`,
      'It is heard from end to end. Keep what matters here and put the rest into the caption.',
    ];
  return null;
}

/** Alt texts that are there and do not help. */
export const altUnhelpful = ({ page, materials }: CheckedPage): Noticed[] =>
  standingOn(page).flatMap(({ material, part }) => {
    const one = materials.get(material);
    if (one?.kind !== 'picture' || one.alt.trim() === '') return [];
    const found = fault(one.alt, one.title, one.fileName);
    if (!found) return [];
    const [says, why] = found;
    return {
      weight: 'nice' as const,
      part,
      material,
      of: one.alt,
      says: `The alt text of ${called(one)} ${says}.`,
      why,
    };
  });
