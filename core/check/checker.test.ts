import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { type ProjectDraft, draftArbitrary } from '../access/arbitrary-draft.ts';
import { materialsOn } from '../pages/materials-on.ts';
import type { AnswerOf } from '../links/link-answer.ts';
import { newPart } from '../parts/new-part.ts';
import type { Part } from '../parts/parts.ts';
import type { Inside, InsideFound } from '../personal/inside.ts';
import { Checker } from './checker.ts';
import { nothingGivenOut } from './given-out.ts';
import { type LookedAt, nothingLookedAt } from './looked-at.ts';
import type { Finding } from './finding.ts';
import { findingsOfPage } from './findings-of-page.ts';
import { findingsOfSite } from './findings-of-site.ts';

const today = '2026-11-29';
const to = 'https://tides.example/';
/** Everything at once, without remembering anything. */
function fromScratch(
  { pages, materials, site }: ProjectDraft,
  lookedAt: LookedAt,
  inside: Inside,
  answers: AnswerOf,
): Map<string, Finding[]> {
  const known = new Map(materials.map((one) => [one.id, one]));
  const between = findingsOfSite({
    ...{ ...site, pages, today, materials: known },
    ...{ givenOut: nothingGivenOut, inside, people, answers },
  });
  return new Map(
    pages.map((page) => {
      const here = new Map(
        materialsOn(page).flatMap((id) => {
          const one = known.get(id);
          return one ? [[id, one] as const] : [];
        }),
      );
      const own = findingsOfPage({ page, site, today, lookedAt, inside, answers, materials: here });
      return [page.id, [...own, ...(between.get(page.id) ?? [])]] as const;
    }),
  );
}

const people = [
  { name: 'Juno Pell', isKnown: true },
  { name: 'Odd Marten', isKnown: false },
];
const found = (kind: InsideFound['kind'], text: string): InsideFound => ({
  ...{ kind, text, page: 0 },
  regions: [{ x: 0.1, y: 0.1, width: 0.2, height: 0.1 }],
});

test('told of one change after another, it says what looking at everything again would say', () => {
  fc.assert(
    fc.property(
      draftArbitrary,
      fc.array(fc.tuple(fc.nat(), fc.nat(), fc.string({ maxLength: 4 }), fc.nat(9)), { maxLength: 6 }),
      (first, changes) => {
        let draft = first;
        let lookedAt = nothingLookedAt;
        let inside: Inside = {};
        let answers: AnswerOf = new Map();
        const checker = new Checker();
        const said = new Map<string, Finding[]>();
        const take = (change: Parameters<Checker['take']>[0]) => {
          for (const [id, found] of checker.take(change)) {
            if (found) said.set(id, found);
            else said.delete(id);
          }
          expect(said).toEqual(fromScratch(draft, lookedAt, inside, answers));
        };
        take({
          site: draft.site,
          people,
          between: {
            offWall: draft.site.offWall,
            address: draft.site.address,
            quickLinks: draft.site.quickLinks,
          },
          today,
          pages: draft.pages,
          materials: draft.materials,
        });
        for (const [page, material, text, kind] of changes) {
          const changed = draft.pages[page % draft.pages.length];
          const other = draft.materials[material % draft.materials.length];
          if (kind === 0 && changed) {
            const next = { ...changed, title: text, parts: changed.parts.slice(1) };
            draft = { ...draft, pages: draft.pages.map((one) => (one.id === next.id ? next : one)) };
            take({ pages: [next] });
          } else if (kind === 1 && other) {
            const next = { ...other, alt: text };
            draft = { ...draft, materials: draft.materials.map((one) => (one.id === next.id ? next : one)) };
            take({ materials: [next] });
          } else if (kind === 2 && other) {
            draft = { ...draft, materials: draft.materials.filter((one) => one !== other) };
            take({ goneMaterials: [other.id] });
          } else if (kind === 3 && changed && draft.pages.length > 1) {
            draft = { ...draft, pages: draft.pages.filter((one) => one !== changed) };
            take({ gonePages: [changed.id] });
          } else if (kind === 4) {
            draft = { ...draft, site: { ...draft.site, evidenceWanted: text.length } };
            take({ site: draft.site });
          } else if (kind === 5 && changed) {
            draft = { ...draft, site: { ...draft.site, offWall: [changed.id] } };
            take({
              between: {
                offWall: draft.site.offWall,
                address: draft.site.address,
                quickLinks: draft.site.quickLinks,
              },
            });
          } else if (kind === 6 && other) {
            const groups = [draft.materials.map(({ id }) => id)];
            lookedAt = { ...nothingLookedAt, groups, warnings: { [other.id]: ['very-dark'] } };
            take({ lookedAt });
          } else if (kind === 7 && other) {
            inside = { [other.id]: [found('phone', text), found('name', 'Juno Pell')] };
            take({ inside });
          } else if (kind === 8 && changed) {
            const leads = { ...newPart('contact', 'leads-elsewhere'), link: to };
            const next = { ...changed, parts: [leads as Part, ...changed.parts] };
            draft = { ...draft, pages: draft.pages.map((one) => (one.id === next.id ? next : one)) };
            take({ pages: [next] });
          } else if (kind === 9) {
            const answer = {
              to,
              state: text.length > 2 ? ('gone' as const) : ('slow' as const),
              movedTo: null,
            };
            answers = new Map([[to, answer]]);
            take({ answers: [answer] });
          }
        }
      },
    ),
    { numRuns: 60 },
  );
});

test('looks at no page that nothing of what changed stands on', () => {
  const [draft] = fc.sample(
    draftArbitrary.filter(({ pages }) => pages.length > 2),
    { numRuns: 1, seed: 3 },
  );
  if (!draft) throw new Error('no sample');
  const checker = new Checker();
  checker.take({
    site: draft.site,
    between: { offWall: draft.site.offWall, address: draft.site.address, quickLinks: draft.site.quickLinks },
    today,
    pages: draft.pages,
    materials: draft.materials,
  });
  const [page] = draft.pages;
  if (!page) throw new Error('no page');
  expect([...checker.take({ pages: [{ ...page, title: 'Other' }] }).keys()]).toEqual([page.id]);
  for (const one of draft.materials) {
    const on = draft.pages.filter((other) => materialsOn(other).includes(one.id)).map(({ id }) => id);
    expect([...checker.take({ materials: [one] }).keys()].sort()).toEqual(on.sort());
  }
});
