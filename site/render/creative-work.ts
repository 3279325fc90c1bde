import type { CreativeWork, WithContext } from 'schema-dts';
import { licenceUrl } from '#core/credits/licence.ts';
import type { PageInput } from './page-input.ts';

/** Leaves out what says nothing. */
const filled = <T extends object>(members: T): T =>
  Object.fromEntries(
    Object.entries(members).filter(
      ([, value]) => value !== undefined && value !== '' && !(Array.isArray(value) && value.length === 0),
    ),
  ) as T;

/** The first picture of a page as a JPEG of middling size, else what is shown where a link to it is passed on. */
function imageOf({ pictures, preview, toRoot }: PageInput): string | null {
  const [first] = Object.values(pictures);
  const file = first?.fallback[0];
  return file ? toRoot + file.url : (preview?.url ?? null);
}

/**
 * What a case page says about its project, in the words of schema.org (`CreativeWork`), for machines. The address of the
 * picture is relative to the page, as JSON-LD allows.
 */
export function creativeWork(input: PageInput): WithContext<CreativeWork> {
  const { page, by } = input;
  const image = imageOf(input);
  const { facts } = page;
  const ended = facts.to === 'now' ? null : (facts.to ?? facts.from);
  const maker = { '@type': 'Person' as const, name: by };
  const role = facts.role.trim();
  const url = facts.licence && licenceUrl(facts.licence);
  const contributor = facts.withWhom
    .filter(({ name }) => name.trim() !== '')
    .map(({ name, did }) => {
      const person = { '@type': 'Person' as const, name: name.trim() };
      return did.trim() === ''
        ? person
        : { '@type': 'Role' as const, contributor: person, roleName: did.trim() };
    });
  const work: WithContext<CreativeWork> = {
    '@context': 'https://schema.org',
    '@type': 'CreativeWork',
    name: page.title,
    inLanguage: page.language,
    abstract: page.summary,
    // What its maker did in it, and from when to when: of a whole work schema.org knows only when it was done.
    creator:
      role || facts.from
        ? filled({
            ...{ '@type': 'Role' as const, creator: maker, roleName: role },
            ...(facts.from ? { startDate: facts.from } : {}),
            ...(ended ? { endDate: ended } : {}),
          })
        : maker,
    contributor,
    // When it was done, which is not yet said of what goes on.
    ...(ended ? { dateCreated: ended } : {}),
    genre: facts.field,
    keywords: facts.tags,
    material: facts.materials,
    // Tools are a line of words; so is whom it was made for, be it a course or a client.
    ...(facts.madeWith.trim() ? { mentions: { '@type': 'Thing', name: facts.madeWith.trim() } } : {}),
    ...(facts.course ? { audience: { '@type': 'Audience', name: facts.course } } : {}),
    ...(url ? { license: url } : {}),
    ...(image === null ? {} : { image }),
  };
  return filled(work);
}

/** JSON as the text of a script element, which ends at the first `</script` whatever stands around it. */
export const asScriptText = (value: unknown): string => JSON.stringify(value).replaceAll('<', '\\u003c');
