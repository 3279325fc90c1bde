import type { Id } from '#core/id.ts';
import { newPart } from '#core/parts/new-part.ts';
import type { Part } from '#core/parts/parts.ts';
import { newId } from '#server/db/new-id.ts';
import { resume } from './resume-scenario.ts';

/**
 * The résumé of the demo's maker: its entries, and a version for each whom it is for.
 *
 * @param pageOf the id of a project by its title; null of one that is not there
 * @param partOf the id of the first part of a kind on a page
 */
export function partsOfResume(
  pageOf: (title: string) => Id | null,
  partOf: (page: Id, kind: string) => Id | null,
): Part[] {
  const proofOf = (of = '') => {
    const [title = '', kind] = of.split(': ');
    const page = pageOf(title);
    return page === null ? null : { page, part: kind === undefined ? null : partOf(page, kind) };
  };
  const ids = new Map<string, Id>();
  const lineIds = new Map<string, Id>();
  const entries = resume.entries.map(({ name, lines = [], proofs = [], project, ...fields }) => {
    const id = newId();
    ids.set(name, id);
    return {
      ...newPart('entry', id),
      ...fields,
      page: project === undefined ? null : pageOf(project),
      proofs: proofs.flatMap((title) => proofOf(title) ?? []),
      lines: lines.map(([text, proof]) => {
        const line = newId();
        lineIds.set(text, line);
        return { id: line, text, proof: proofOf(proof) };
      }),
    } as Part;
  });
  const versions = resume.versions.map(
    ({ entries: wanted, without = [], words = {}, ...fields }) =>
      ({
        ...newPart('version', newId()),
        ...fields,
        entries: wanted.flatMap((name) => ids.get(name) ?? []),
        without: without.flatMap((text) => lineIds.get(text) ?? []),
        words: Object.entries(words).flatMap(([line, text]) => {
          const id = lineIds.get(line);
          return id === undefined ? [] : [{ line: id, text }];
        }),
      }) as Part,
  );
  return [...versions, ...entries];
}
