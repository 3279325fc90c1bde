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
  const created = facts.to === 'now' ? facts.from : (facts.to ?? facts.from);
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
    creator: { '@type': 'Person', name: by },
    contributor,
    // When it was done: the last month, or the first while it goes on.
    ...(created ? { dateCreated: created } : {}),
    genre: facts.field,
    keywords: facts.tags,
    material: facts.materials,
    ...(facts.course ? { sourceOrganization: { '@type': 'Organization', name: facts.course } } : {}),
    ...(url ? { license: url } : {}),
    ...(image === null ? {} : { image }),
  };
  return filled(work);
}

/** JSON as the text of a script element, which ends at the first `</script` whatever stands around it. */
export const asScriptText = (value: unknown): string => JSON.stringify(value).replaceAll('<', '\\u003c');
