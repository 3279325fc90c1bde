import { newPart } from '#core/parts/new-part.ts';
import type { Part, PartOf } from '#core/parts/parts.ts';
import type { ShownPage } from '#core/pages/page.ts';
import type { TakenEntry } from '#core/resume/json-resume/taken-entry.ts';
import type { Proof } from '#core/resume/proof.ts';
import type { ResumeSection } from '#core/resume/sections.ts';
import { usePageParts } from '../../parts/use-page-parts.ts';
import { useStable } from '../../ui/use-stable.ts';
import { newId } from '../../parts/new-id.ts';

export type Entry = PartOf<'entry'>;
export type Version = PartOf<'version'>;

export const entriesOf = ({ parts }: ShownPage): Entry[] =>
  parts.filter((part): part is Entry => part.kind === 'entry');
export const versionsOf = ({ parts }: ShownPage): Version[] =>
  parts.filter((part): part is Version => part.kind === 'version');

/** What can be done to a résumé; each step can be undone. */
export function useResume({ id: pageId }: ShownPage) {
  const { partsNow, set } = usePageParts(pageId);
  const once = () => `${Date.now()}`;
  const put = (part: Part, label: string, step: string) =>
    set(
      partsNow().map((one) => (one.id === part.id ? part : one)),
      label,
      step,
    );
  const withVersion = (id: string, change: (version: Version) => Version, parts = partsNow()): Part[] =>
    parts.map((part) => (part.kind === 'version' && part.id === id ? change(part) : part));
  return useStable({
    changeEntry: (entry: Entry) => {
      const was = partsNow().find(({ id }) => id === entry.id);
      put(
        entry,
        entry.title || 'Entry',
        was?.height === entry.height ? `entry ${entry.id}` : `height ${once()}`,
      );
    },
    changeVersion: (version: Version) => {
      const was = partsNow().find(({ id }) => id === version.id);
      put(
        version,
        version.name || 'Version',
        was?.height === version.height ? `version ${version.id}` : `height ${once()}`,
      );
    },
    /** Ties what proves an entry to it. */
    tie: (entry: Entry, proof: Proof) =>
      put({ ...entry, proofs: [...entry.proofs, proof] }, 'A proof tied', `tie ${once()}`),
    /** Unties what proves an entry, from it and from its lines. */
    untie: (entry: Entry, proof: Proof) => {
      const stays = (one: Proof | null) => one === null || one.page !== proof.page || one.part !== proof.part;
      put(
        {
          ...entry,
          proofs: entry.proofs.filter(stays),
          lines: entry.lines.map((line) => (stays(line.proof) ? line : { ...line, proof: null })),
        },
        'A proof untied',
        `untie ${once()}`,
      );
    },
    /** Remembers that something does not prove an entry, so that it is not proposed again. */
    refuse: (entry: Entry, proof: Proof) =>
      put(
        { ...entry, refused: [...entry.refused, proof].slice(-60) },
        'A proposal put aside',
        `refuse ${once()}`,
      ),
    /** Ties in an entry, which stands in the version on show. @returns its id */
    addEntry: (section: ResumeSection, version: string, more: Partial<Entry> = {}): string => {
      const entry = { ...newPart('entry', newId()), section, ...more } as Entry;
      const parts = withVersion(version, (one) => ({ ...one, entries: [...one.entries, entry.id] }));
      set([...parts, entry], 'An entry', `add ${once()}`);
      return entry.id;
    },
    /** Takes entries in from a file; they stand in the version on show, behind what is there. */
    takeIn: (taken: readonly TakenEntry[], version: string) => {
      const entries = taken.map(
        (one) =>
          ({
            ...newPart('entry', newId()),
            ...one,
            lines: one.lines.map((line) => ({ id: newId(), ...line })),
          }) as Entry,
      );
      const parts = withVersion(version, (one) => ({
        ...one,
        entries: [...one.entries, ...entries.map(({ id }) => id)],
      }));
      set([...parts, ...entries], `${entries.length} entries taken in`, `in ${once()}`);
    },
    removeEntry: ({ id, title }: Entry) =>
      set(
        partsNow().flatMap((part): Part[] => {
          if (part.id === id) return [];
          return part.kind === 'version'
            ? [{ ...part, entries: part.entries.filter((one) => one !== id) }]
            : [part];
        }),
        `${title || 'Entry'} taken off`,
        `remove ${once()}`,
      ),
    /** A version like another one, to be changed. @returns its id */
    addVersion: (like: Version): string => {
      const version: Version = {
        ...like,
        id: newId(),
        name: `${like.name || 'Version'}, again`,
        height: 'private',
      };
      set([...partsNow(), version], 'A version', `add ${once()}`);
      return version.id;
    },
    removeVersion: ({ id, name }: Version) =>
      set(
        partsNow().filter((part) => part.id !== id),
        `${name || 'Version'} taken off`,
        `remove ${once()}`,
      ),
    /** Readers get the first version that they may have. */
    putFirst: (version: Version) => {
      const others = partsNow().filter(({ id }) => id !== version.id);
      set([version, ...others], `${version.name || 'Version'} first`, `first ${once()}`);
    },
    /** Leaves entries and lines out of a version. */
    leaveOut: (version: Version, ids: readonly string[], label: string) =>
      set(
        withVersion(version.id, (one) => ({
          ...one,
          entries: one.entries.filter((id) => !ids.includes(id)),
          without: [...new Set([...one.without, ...ids.filter((id) => !one.entries.includes(id))])],
        })),
        label,
        `out ${once()}`,
      ),
  });
}
export type ResumeSteps = ReturnType<typeof useResume>;
