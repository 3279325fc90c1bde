import type { Id } from '../../id.ts';
import { isShown, type ShownPage } from '../../pages/page.ts';
import type { PartOf } from '../../parts/parts.ts';
import type { Draft } from '../../sites/site.ts';
import { proofsOf, type Verdict, verdictOf } from '../evidence.ts';
import type { Proof } from '../proof.ts';
import { proofOpens } from '../proof-opens.ts';
import { entryOf } from '../version-applied.ts';

/** What something is proved by: a page as a whole, a part of one, a document on one, or what is no longer there. */
export type ProofKind = 'page' | 'part' | 'document' | 'gone';

export interface ProofOfSkill {
  proof: Proof;
  kind: ProofKind;
  /** Whether readers of the version can open it. */
  opens: boolean;
}

export interface SkillRow {
  entry: PartOf<'entry'>;
  proofs: ProofOfSkill[];
  verdict: Verdict;
}

/** A page with what of it proves something. */
export interface ProvingPage {
  page: ShownPage;
  /** Null for the page as a whole; each once, the whole first, parts as they stand on it. */
  things: { part: Id | null; kind: ProofKind; opens: boolean }[];
}

export interface EvidenceMap {
  rows: SkillRow[];
  /** Ordered so that strings to them cross little: by the mean row that leads there (K. Sugiyama and others, 1981). */
  pages: ProvingPage[];
}

export const keyOfProof = ({ page, part }: Proof): string => `${page} ${part ?? ''}`;

/** What a proof is, of the page that it names; gone where that or its part is not there any more. */
function kindOfProof({ part: of }: Proof, page: ShownPage | undefined): ProofKind {
  if (!page || page.archived) return 'gone';
  if (of === null) return 'page';
  const part = page.parts.find((one) => one.id === of);
  return part ? (part.kind === 'document' ? 'document' : 'part') : 'gone';
}

/** The proving pages with others that may prove something, behind those that are there, and in order on each page. */
export function withProposed(
  proving: readonly ProvingPage[],
  draft: Pick<Draft, 'pages'>,
  proposed: readonly Proof[],
  opens: (proof: Proof) => boolean,
): ProvingPage[] {
  const all = new Map(proving.map((one) => [one.page.id, one]));
  for (const proof of proposed) {
    const page = draft.pages.filter(isShown).find(({ id }) => id === proof.page);
    const kind = kindOfProof(proof, page);
    const things = all.get(proof.page)?.things ?? [];
    if (!page || kind === 'gone' || things.some(({ part }) => part === proof.part)) continue;
    const order = [null, ...page.parts.map(({ id }) => id)];
    const more = [...things, { part: proof.part, kind, opens: opens(proof) }];
    all.set(page.id, { page, things: more.sort((a, b) => order.indexOf(a.part) - order.indexOf(b.part)) });
  }
  return [...all.values()];
}

/**
 * Skills of a version with what proves each, for the readers of that version.
 *
 * @param resume the page of the résumé
 */
export function evidenceMap(
  draft: Pick<Draft, 'site' | 'pages'>,
  resume: ShownPage,
  version: PartOf<'version'>,
): EvidenceMap {
  const opens = proofOpens(draft, { page: resume.id, version: version.id });
  const pages = new Map(draft.pages.filter(isShown).map((page) => [page.id, page]));
  const kindOf = (proof: Proof) => kindOfProof(proof, pages.get(proof.page));
  const entries = new Map(resume.parts.flatMap((part) => (part.kind === 'entry' ? [[part.id, part]] : [])));
  const rows = version.entries.flatMap((id): SkillRow[] => {
    const found = entries.get(id);
    if (found?.section !== 'skills') return [];
    const entry = entryOf(version, found);
    const proofs = proofsOf(entry).map((proof) => {
      const kind = kindOf(proof);
      return { proof, kind, opens: kind !== 'gone' && opens(proof) };
    });
    return [
      { entry, proofs, verdict: verdictOf(entry, (proof) => kindOf(proof) !== 'gone' && opens(proof)) },
    ];
  });

  const rowsTo = new Map<Id, number[]>();
  const things = new Map<string, ProofOfSkill>();
  for (const [at, { proofs }] of rows.entries())
    for (const one of proofs) {
      if (one.kind === 'gone') continue;
      rowsTo.set(one.proof.page, [...(rowsTo.get(one.proof.page) ?? []), at]);
      things.set(keyOfProof(one.proof), one);
    }
  const mean = (of: readonly number[]) => of.reduce((sum, one) => sum + one, 0) / of.length;
  const proving = [...rowsTo]
    .sort(([, a], [, b]) => mean(a) - mean(b))
    .flatMap(([id]): ProvingPage[] => {
      const page = pages.get(id);
      return page
        ? [
            {
              page,
              things: [null, ...page.parts.map((part) => part.id)].flatMap((part) => {
                const thing = things.get(keyOfProof({ page: id, part }));
                return thing ? [{ part, kind: thing.kind, opens: thing.opens }] : [];
              }),
            },
          ]
        : [];
    });
  return { rows, pages: proving };
}
