import { halves } from '#core/about/halves.ts';
import type { Height } from '#core/access/height.ts';
import type { Id } from '#core/id.ts';
import { newPart } from '#core/parts/new-part.ts';
import type { Part } from '#core/parts/parts.ts';
import { newId } from '#server/db/new-id.ts';
import { aboutMaker } from './scenario.ts';

/**
 * What the page about the demo's maker tells of them, each thing as high as they let it.
 *
 * @param bring takes a picture in; its id
 * @param pageOf the id of a project by its title
 */
export async function partsAboutMaker(
  bring: (file: string) => Promise<Id>,
  pageOf: (title: string) => Id | null,
): Promise<Part[]> {
  const part = (kind: Part['kind'], fields: object): Part =>
    ({ ...newPart(kind, newId()), ...fields }) as Part;
  const {
    portraits,
    fullName,
    headline,
    pronouns,
    places,
    free,
    languages,
    elsewhere,
    halves: told,
  } = aboutMaker;
  const shown: Part[] = [];
  for (const { file, face, height } of portraits)
    shown.push(
      part('portrait', { form: 'photo', material: await bring(file), face, height: height as Height }),
    );
  return [
    ...shown,
    part('full-name', { text: fullName }),
    part('headline', { text: headline }),
    part('pronouns', { text: pronouns }),
    ...places.map((place) => part('place', place)),
    part('availability', free),
    part('languages', { list: languages }),
    part('profiles', { list: elsewhere }),
    ...halves.map((half) =>
      part('telling', {
        half,
        answers: Object.entries<readonly [string, string?]>(told[half]).map(([id, [text, proof]]) => ({
          id,
          text,
          proof: proof === undefined ? null : pageOf(proof),
        })),
      }),
    ),
  ];
}
